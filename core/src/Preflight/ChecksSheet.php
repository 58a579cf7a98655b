<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A check that reads the sheet: its layers, their effects and measures. A new check is a class of its own and one entry in Preflight. */
interface ChecksSheet
{
    /** @return list<Finding> */
    public function sheet(SheetSubject $subject): array;
}
