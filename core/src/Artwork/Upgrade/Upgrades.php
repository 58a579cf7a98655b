<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Upgrade;

/** Every step of the format, oldest first. A file of any earlier version passes through all steps that come after it. */
final class Upgrades
{
    /** @var list<class-string<Upgrade>> */
    private const STEPS = [SlugsForPhrases::class, FramedArt::class];

    /** The decoded file in the newest version; what is no file of an earlier version comes back unchanged. */
    public static function newest(mixed $file): mixed
    {
        foreach (self::STEPS as $step) {
            if (is_array($file) && ($file['format'] ?? null) === $step::from()) {
                $file = $step::upgraded($file);
            }
        }

        return $file;
    }
}
