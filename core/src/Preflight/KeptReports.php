<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\Shelf;
use TallCrow\Measure\PrintArea;
use TallCrow\Render\DrawingCode;
use TallCrow\Render\Pictures;

/**
 * Reports that were measured before. A sheet that is the same, with the same files, held to the same demands by the same
 * code, is measured once; one step back finds the report of the sheet as it was.
 */
final readonly class KeptReports
{
    /**
     * @param  Pictures  $pictures  where they are kept
     * @param  string  $folder  where the fingerprint of the code that measures may be kept
     */
    public function __construct(
        private Pictures $pictures,
        private Shelf $shelf,
        private string $folder,
    ) {}

    /**
     * One in which a line could not be drawn is not kept, since that line may be drawn the next time.
     *
     * @param  list<string>  $words  that are spelt so
     * @param  callable(): Report  $measure
     */
    public function report(Artwork $artwork, ?PrintArea $area, bool $closely, array $words, ?Demands $demands, callable $measure): Report
    {
        $measured = null;
        $kept = $this->pictures->text($this->key($artwork, $area, $closely, $words, $demands), function () use ($measure, &$measured): string {
            $measured = $measure();

            return $measured->isWhole() ? json_encode($measured->toArray(), JSON_THROW_ON_ERROR) : '';
        });

        return $measured ?? self::read($kept) ?? $measure();
    }

    /** @param  list<string>  $words */
    private function key(Artwork $artwork, ?PrintArea $area, bool $closely, array $words, ?Demands $demands): string
    {
        return 'report '.hash('xxh128', serialize([
            DrawingCode::fingerprint($this->folder, parts: DrawingCode::ALL), $artwork->toArray(), array_map($this->file(...), $artwork->files()), $area, $closely, $words, $demands, Dictionary::fingerprint(),
        ]));
    }

    private function file(string $name): string
    {
        try {
            return $this->shelf->fingerprint($name);
        } catch (AssetUnusable) {
            return "no $name";
        }
    }

    private static function read(string $kept): ?Report
    {
        try {
            return $kept === '' ? null : Report::read(json_decode($kept, true));
        } catch (ArtworkInvalid) {
            return null;
        }
    }
}
