<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A check that looks at the finished picture alone, so that it works on any PNG. A new one is a class of its own and one entry in Preflight. */
interface ChecksPicture
{
    /** @return list<Finding> */
    public function picture(PictureSubject $subject): array;
}
