<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Render\Progress;

/** Told of each stage of an export; may throw to end it. */
interface ExportProgress extends Progress
{
    public function stage(ExportStage $stage): void;
}
