<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A picture check that can also, given the sheet, name the layers a finding is about and offer mends. */
interface MendsOnSheet extends ChecksPicture
{
    public function onSheet(Finding $finding, SheetSubject $subject): Finding;
}
