<?php

declare(strict_types=1);

namespace TallCrow\Export;

use TallCrow\Render\Progress;

/** Is told of each stage of an export; may throw to cancel it. */
interface ExportProgress extends Progress
{
    public function stage(ExportStage $stage): void;
}
