<?php

declare(strict_types=1);

namespace TallCrow\Artwork\Upgrade;

/** All upgrades, oldest first. A file of an earlier version passes through all upgrades from its version on. */
final class Upgrades
{
    /** @var list<class-string<Upgrade>> */
    private const STEPS = [SlugsForPhrases::class, FramedArt::class];

    /** Converts a decoded file to the newest version; data that is no file of an earlier version is returned unchanged. */
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
