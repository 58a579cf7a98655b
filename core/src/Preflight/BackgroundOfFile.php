<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

/** A picture whose rim, or the rim of all its ink, is opaque and of one colour all round: its background was never taken away. */
final class BackgroundOfFile implements ChecksPicture
{
    private const SEEN = 12.0;

    /** Inches below which a block of one colour is no background but a mark. */
    private const LEAST = 1.0;

    public function picture(PictureSubject $subject): array
    {
        $box = $subject->picture->alpha()->isMore(self::SEEN)->settled()->inkBox();
        $rim = Rim::of($subject->picture);
        if (! $rim->isBackground() && $box !== null && min($box[2], $box[3]) > self::LEAST * $subject->ppi) {
            // A pixel or two within: the block's own edge may be soft.
            $inner = Rim::of($subject->picture->crop($box[0] + 2, $box[1] + 2, $box[2] - 4, $box[3] - 4));
            // A block all of one colour is a plate, as it was drawn; one with something in it is a picture on its ground.
            $rim = $inner->isBackground() && $inner->isPaper() ? $inner : $rim;
        }

        return [$rim->finding('background', 'Background', 'The picture')];
    }
}
