<?php

declare(strict_types=1);

namespace TallCrow\Calendar;

/** A recorded action: by whom, when, and on which design. */
final readonly class Act
{
    /** @param  ?int  $design  null if it serves all designs */
    public function __construct(public int $who, public int $at, public WorkStage $stage, public ?int $design) {}
}
