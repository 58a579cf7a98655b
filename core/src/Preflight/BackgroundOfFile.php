<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A picture whose rim (or the rim of its ink) is opaque and of one colour all around: its background was never removed. */
final class BackgroundOfFile implements ChecksPicture
{
    private const SEEN = 12.0;

    /** Blocks up to this size, in inches, are marks, not backgrounds. */
    private const LEAST = 1.0;

    public function picture(PictureSubject $subject): array
    {
        $box = $subject->picture->alpha()->isMore(self::SEEN)->settled()->inkBox();
        $rim = Rim::of($subject->picture);
        if (! $rim->isBackground() && $box !== null && min($box[2], $box[3]) > self::LEAST * $subject->ppi) {
            // Two pixels inside, since the block's edge may be antialiased.
            $inner = Rim::of($subject->picture->crop($box[0] + 2, $box[1] + 2, $box[2] - 4, $box[3] - 4));
            // A block of a single colour is a shape that was drawn so; a block that contains something is a picture on its background.
            $rim = $inner->isBackground() && $inner->isPaper() ? $inner : $rim;
        }

        return [$rim->finding('background', 'Background', 'The picture')];
    }
}
