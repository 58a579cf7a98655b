<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A check of the picture that can say, where the sheet is known, which layers a finding is about and what would mend it. */
interface MendsOnSheet extends ChecksPicture
{
    public function onSheet(Finding $finding, SheetSubject $subject): Finding;
}
