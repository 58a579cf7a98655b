<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A check that only looks at the finished picture, so that it works on any PNG. A new check is a class of its own and one entry in Preflight. */
interface ChecksPicture
{
    /** @return list<Finding> */
    public function picture(PictureSubject $subject): array;
}
