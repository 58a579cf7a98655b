<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** One measurement. A new check is a class of its own and one entry in Preflight. */
interface Check
{
    /** @return list<Finding> */
    public function run(Subject $subject): array;
}
