<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Asset\FolderShelf;
use TallCrow\Asset\ManyShelves;
use TallCrow\Pack\JobPack;

/** The job that a command names: an artwork with its shelves, or a whole job in one file. */
final class OpenedJob
{
    private const ZIP = "PK\x03\x04";

    /** @return array{Artwork, ManyShelves} */
    public static function from(Arguments $arguments): array
    {
        $file = $arguments->operand('an artwork or a job file');
        if (! is_file($file)) {
            throw UnusableCall::file($file);
        }
        $folders = [dirname($file), ...$arguments->options('shelf')];
        foreach ($folders as $folder) {
            if (! is_dir($folder)) {
                throw UnusableCall::folder($folder);
            }
        }
        try {
            if (file_get_contents($file, length: 4) === self::ZIP) {
                $unpacked = self::scratch();
                [$artwork] = JobPack::unpack($file, $unpacked);

                return [$artwork, new ManyShelves([new FolderShelf($unpacked)])];
            }

            return [ArtworkReader::json((string) file_get_contents($file)), new ManyShelves(array_map(fn (string $folder): FolderShelf => new FolderShelf($folder), $folders))];
        } catch (ArtworkInvalid $invalid) {
            throw UnusableCall::artwork($file, $invalid);
        }
    }

    /** A temporary folder, removed when the command ends. */
    private static function scratch(): string
    {
        $folder = sys_get_temp_dir().'/tall-crow-'.getmypid().'-'.bin2hex(random_bytes(6));
        mkdir($folder, 0o700);
        register_shutdown_function(function () use ($folder): void {
            array_map(unlink(...), glob($folder.'/*') ?: []);
            @rmdir($folder);
        });

        return $folder;
    }
}
