<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Edit\AddEffect;
use TallCrow\Edit\LeaveGarmentOut;
use TallCrow\Edit\LineList;
use TallCrow\Edit\SetChoice;
use TallCrow\Effect\Looks;
use TallCrow\Effect\StandsOut;
use TallCrow\Geometry\Box;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;

/** Ink that cannot be seen on a cloth, for each garment colour: as a share of all ink, and piece by piece. */
final class VanishingInk implements ChecksPicture, ChecksSheet
{
    private const WARN = 0.02;

    private const FAIL = 0.2;

    /** Ppi of the measurement: an outline of a thirtieth of an inch still shows. */
    private const GRID = 50.0;

    /** A piece is lost if at least this share of its visible ink is; for words the limit is lower. */
    private const WORDS_LOST = 0.4;

    private const PIECE_LOST = 0.6;

    /** Least share of a word's ink that belongs to its letters (not to rings and shadows) for them to be read alone. */
    private const FACE = 0.2;

    /** Pieces smaller than this, in square inches, are not judged singly. */
    private const LEAST = 0.02;

    /** Least share of all ink for a lost piece other than words to matter. */
    private const MATTERS = 0.03;

    /** Width of an outline, in inches, that a mend adds, and its least contrast with every cloth. */
    private const EDGE = 0.05;

    private const MOST_MENDS = 3;

    /** Effects that determine how letters are filled. */
    private const FILLS = ['fill', 'gradient', 'paper', 'picture', 'letter-colours', 'hollow', 'hatch', 'only'];

    /** Colours to try if none of the job's own is suitable: bone, ink, gold, rust, moss, sea. */
    private const USUAL = ['#f3ead7', '#1f1d1a', '#d9a441', '#b04a2c', '#6d7a2c', '#3f7f95'];

    public function picture(PictureSubject $subject): array
    {
        $every = max(1, (int) round($subject->ppi / self::GRID));
        $sampled = $subject->picture->subsampled($every)->settled();
        $keys = ColourKeys::of($sampled);
        $seen = InkAndCloth::of($sampled);

        return array_map(fn (Garment $garment): Finding => self::finding($garment, Standing::of($seen, $keys, $garment), $subject->ppi / $every), $subject->garments);
    }

    public function sheet(SheetSubject $subject): array
    {
        return array_map(fn (Garment $garment): Finding => $this->onSheet(self::finding($garment, $subject->standing($garment, self::GRID), self::GRID), $subject), $subject->artwork->brief->garments);
    }

    private static function finding(Garment $garment, Standing $standing, float $ppi): Finding
    {
        $share = $standing->share();
        $verdict = Verdict::atMost($share, self::WARN, self::FAIL);
        $seen = $verdict === Verdict::Pass;

        return Finding::of(
            Group::Cloth, self::key($garment), 'On '.$garment->name, $verdict, sprintf('%.1f %% lost', $share * 100), sprintf('%d %%', self::WARN * 100),
            $seen ? sprintf('The ink reads on %s.', $garment->name)
                : sprintf('%.1f %% of the ink is too like %s in lightness and colour and is not edged by ink that stands out: it is lost there.', $share * 100, $garment->name),
        )->at($seen ? [] : self::where($standing->lost, $ppi));
    }

    private function onSheet(Finding $finding, SheetSubject $subject): Finding
    {
        $garments = $subject->artwork->brief->garments;
        $garment = array_values(array_filter($garments, fn (Garment $garment): bool => self::key($garment) === $finding->key))[0] ?? null;
        if ($garment === null) {
            return $finding;
        }
        $lost = self::lostPieces($garment, $subject);
        $words = array_values(array_filter($lost, fn (array $one): bool => $one[0]->isWords()));
        $named = implode(', ', array_map(fn (array $one): string => $one[0]->called(), $lost));
        if ($lost !== []) {
            $verdict = $finding->verdict->worst($words !== [] ? Verdict::Fail : Verdict::Warn);
            $finding = Finding::of(
                Group::Cloth, $finding->key, $finding->word, $verdict, $finding->figure, $finding->limit,
                sprintf('%s cannot be read on %s: %s is too like the cloth, and nothing that stands out edges it.', $named, $garment->name, count($lost) === 1 ? 'its ink' : 'their ink'),
            )->at([...array_map(fn (array $one): Box => $one[1], $lost), ...$finding->where])->about(...array_map(fn (array $one): string => $one[0]->id, $lost));
        }

        return $finding->verdict === Verdict::Pass ? $finding : $finding->mendedBy(...array_slice([...self::strengthened($lost, $garment, $subject), ...$this->recoloured($lost, $subject), ...$this->edged($lost, $subject), ...$this->leftOut($finding, $garment, $subject)], 0, self::MOST_MENDS));
    }

    /**
     * Pieces most of whose visible ink is lost.
     *
     * @return list<array{Layer, Box}>
     */
    public static function lostPieces(Garment $garment, SheetSubject $subject): array
    {
        $frame = Frame::sheet($subject->artwork->sheet, self::GRID);
        $standing = $subject->standing($garment, self::GRID);
        if ($standing->lost->mean() <= 0.0) {
            return [];
        }
        $all = $standing->ink->area();
        $lost = $counts = [];
        foreach ($subject->pieces() as $layer) {
            $top = WeakInk::topmost($layer, $frame, $subject);
            if (! $top->shows($layer->id, $standing->lost)) {
                continue;
            }
            [$areas, $withInk, $withLost] = $counts[WeakInk::isOf($layer) ? 'weak' : 'full'] ??= [$top->counted(), $top->counted($standing->ink), $top->counted($standing->lost)];
            [$area, $inked, $gone] = [$areas[$layer->id], $withInk[$layer->id], $withLost[$layer->id]];
            $matters = $area >= self::LEAST * self::GRID ** 2 && ($layer->isWords() || $area > self::MATTERS * $all);
            if ($matters && $gone / max(1, $inked) > ($layer->isWords() ? self::WORDS_LOST : self::PIECE_LOST) && ! self::readsByItsFace($layer, $inked, $top->seen($layer->id), $standing, $frame, $subject)) {
                $lost[] = [$layer, $subject->renderer->placer->box($layer) ?? $subject->artwork->sheet->box()];
            }
        }

        return array_reverse($lost);
    }

    /** Whether the letters themselves stand out although their ring or shadow does not. */
    private static function readsByItsFace(Layer $layer, int $inked, Image $seen, Standing $standing, Frame $frame, SheetSubject $subject): bool
    {
        $isAbout = fn (string $kind): bool => is_a($kind, Looks::class, true) || (is_a($kind, StandsOut::class, true) && $kind::liesBeside());
        $bare = array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! $isAbout($line->is())));
        if (! $layer->isWords() || count($bare) === count($layer->effects)) {
            return false;
        }
        $face = $subject->inked($layer->withEffects($bare), $frame)->alpha()->isMore(127.0)->both($seen)->both($standing->ink)->settled();

        return $face->area() > self::FACE * $inked && $standing->lost->both($face)->area() <= self::WORDS_LOST * $face->area();
    }

    /**
     * Full opacity for half-transparent pieces, if they then stand out.
     *
     * @param  list<array{Layer, Box}>  $lost
     * @return list<Mend>
     */
    private static function strengthened(array $lost, Garment $garment, SheetSubject $subject): array
    {
        $reads = function (Layer $layer) use ($garment, $subject): bool {
            $ink = $subject->inked($layer->withOpacity(1.0), Frame::sheet($subject->artwork->sheet, self::GRID));

            return Standing::of(InkAndCloth::of($ink), ColourKeys::of($ink), $garment)->share() <= self::WORDS_LOST;
        };
        foreach (array_slice($lost, 0, self::MOST_MENDS) as [$layer]) {
            if (WeakInk::isOf($layer) && self::ownInks($layer) === [] && $reads($layer)) {
                return [Mend::by(sprintf('Print %s%s', $layer->called(), WeakInk::IN_FULL), ...WeakInk::inFull($layer))];
            }
        }

        return [];
    }

    /**
     * A thin outline in a colour that stands out on every cloth of the job.
     *
     * @param  list<array{Layer, Box}>  $lost
     * @return list<Mend>
     */
    private function edged(array $lost, SheetSubject $subject): array
    {
        $colour = self::standsOut($subject);

        return $colour === null ? [] : array_map(
            fn (array $one): Mend => Mend::by(
                sprintf('Edge %s in %s%s', $one[0]->called(), $colour->toHex(), WeakInk::isOf($one[0]) ? WeakInk::IN_FULL : ''),
                new AddEffect($one[0]->id, Lines::of('outline', ['width' => self::EDGE, 'colour' => $colour->toHex()]), first: false),
                ...WeakInk::inFull($one[0]),
            ),
            array_slice(array_values(array_filter($lost, fn (array $one): bool => self::ownInks($one[0]) === [])), 0, 2),
        );
    }

    /**
     * Another colour for words of one colour, which stands out on every cloth of the job.
     *
     * @param  list<array{Layer, Box}>  $lost
     * @return list<Mend>
     */
    private function recoloured(array $lost, SheetSubject $subject): array
    {
        $colour = self::standsOut($subject);
        if ($colour === null) {
            return [];
        }
        foreach ($lost as [$layer]) {
            $line = self::colourLine($layer);
            if ($line !== null) {
                return [Mend::by(
                    sprintf('Print %s in %s%s', $layer->called(), $colour->toHex(), WeakInk::isOf($layer) ? WeakInk::IN_FULL : ''),
                    new SetChoice($layer->id, LineList::Effects, $line, 'colour', $colour->toHex()),
                    ...WeakInk::inFull($layer),
                )];
            }
        }

        return [];
    }

    /** Index of the effect that determines the single colour of words, if there is one: their only fill, or a look with an ink of its own. */
    private static function colourLine(Layer $layer): ?int
    {
        $fills = array_filter($layer->isWords() ? $layer->effects : [], fn (EffectLine $line): bool => $line->on && in_array($line->kind, self::FILLS, true));
        $own = self::ownInks($layer);
        $say = $own === [] ? $fills : $own;

        return $layer->isWords() && in_array(array_column($say, 'kind'), [['fill'], ['photocopied']], true) ? array_key_first($say) : null;
    }

    /** @return array<int, EffectLine> looks that print a piece in their own inks, regardless of its fill and rings */
    private static function ownInks(Layer $layer): array
    {
        return array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && is_a($line->is(), Looks::class, true) && is_a($line->is(), StandsOut::class, true));
    }

    /** The colour (of the job's own, bone and ink) with the highest minimum contrast over all cloths. */
    private static function standsOut(SheetSubject $subject): ?Srgb
    {
        $colours = [...array_map(fn ($swatch): Srgb => $swatch->colour, $subject->artwork->swatches), ...array_map(Srgb::hex(...), self::USUAL)];
        $cloths = array_map(fn (Garment $garment): Srgb => $garment->colour, $subject->artwork->brief->garments);
        $least = fn (Srgb $colour): float => min([21.0, ...array_map(fn (Srgb $cloth): float => Standing::isLost($colour, $cloth) ? 1.0 : Contrast::ratio($colour, $cloth), $cloths)]);
        $best = array_reduce($colours, fn (?Srgb $best, Srgb $colour): Srgb => $best === null || $least($colour) > $least($best) ? $colour : $best);

        return $best !== null && $least($best) > 1.0 ? $best : null;
    }

    /**
     * Offers to drop a cloth only if more is lost on it than on another.
     *
     * @return list<Mend>
     */
    private function leftOut(Finding $finding, Garment $garment, SheetSubject $subject): array
    {
        $shares = array_map(fn (Garment $one): float => 100 * $subject->standing($one, self::GRID)->share(), $subject->artwork->brief->garments);

        return count($shares) > 1 && (float) $finding->figure > min($shares) + 0.05
            ? [Mend::by(sprintf('Leave %s out', $garment->name), new LeaveGarmentOut($garment->name))]
            : [];
    }

    private static function key(Garment $garment): string
    {
        return 'vanish:'.$garment->name;
    }

    /** @return list<Box> the half-inch squares with most of the mask */
    private static function where(Image $mask, float $ppi): array
    {
        return PictureSubject::squares($mask, $ppi);
    }
}
