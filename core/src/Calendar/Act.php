<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** Something that was done and left a trace: by whom, when, on which design. */
final readonly class Act
{
    /** @param  ?int  $design  none where it serves all */
    public function __construct(public int $who, public int $at, public WorkStage $stage, public ?int $design) {}
}
