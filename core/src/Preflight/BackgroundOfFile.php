<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A picture whose rim is opaque and of one colour all round: its background was never taken away. */
final class BackgroundOfFile implements ChecksPicture
{
    public function picture(PictureSubject $subject): array
    {
        return [Rim::of($subject->picture)->finding('background', 'Background', 'The picture')];
    }
}
