<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Artwork\TextSource;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Edit\Flip;
use TallCrow\Edit\Operations;
use TallCrow\Edit\Turn;
use TallCrow\Edit\Way;
use TallCrow\Render\Placer;
use TallCrow\Type\FontRefused;
use TallCrow\Type\Letter;
use TallCrow\Type\MissingGlyphs;

/**
 * Words that cannot be read: mirrored, upside down, or still a placeholder. If the same words also appear the right way round, it is a reflection, and fine.
 */
final class ReadingWay implements ChecksSheet
{
    /** Share of mirrored letters from which on words count as mirrored. */
    private const MOST = 0.8;

    /** A letter is upside down if its right axis points to the left by more than this share of its length (within 45 degrees). */
    private const LEANING = 0.7;

    public function sheet(SheetSubject $subject): array
    {
        $ways = $findings = [];
        $words = array_values(array_filter($subject->artwork->everyLayer(), $subject->isRead(...)));
        foreach ($words as $layer) {
            $ways[$layer->id] = self::way($layer, $subject->renderer->placer);
        }
        foreach ($words as $layer) {
            $way = $ways[$layer->id];
            $right = array_filter($words, fn (Layer $other): bool => $ways[$other->id] === null && $other->words()?->text === $layer->words()?->text);
            if ($way !== null && $right === []) {
                $findings[] = Finding::of(
                    Group::Composition, 'reads:'.$layer->id, $layer->called().', how it reads', Verdict::Warn, $way, 'from left to right', sprintf('%s stands %s, and nothing on the sheet says the same the right way round.', $layer->called(), $way),
                )->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]))->mendedBy(...self::mends($layer, $subject));
            }
            if ($layer->words()?->text === TextSource::UNWRITTEN) {
                $findings[] = Finding::of(
                    Group::Composition, 'unwritten:'.$layer->id, $layer->called(), Verdict::Fail, 'not written yet', 'words of your own', sprintf('A piece still says "%s", as it was laid.', TextSource::UNWRITTEN),
                )->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]));
            }
        }

        return $findings;
    }

    /** Why words cannot be read; null if they can. */
    private static function way(Layer $layer, Placer $placer): ?string
    {
        try {
            $letters = $placer->place($layer)->letters ?? [];
        } catch (AssetUnusable|MissingGlyphs|FontRefused) {
            return null;
        }
        $share = fn (\Closure $so): float => $letters === [] ? 0.0 : count(array_filter($letters, $so)) / count($letters);

        return match (true) {
            $share(fn (Letter $letter): bool => $letter->right[0] * $letter->down[1] - $letter->right[1] * $letter->down[0] < 0) >= self::MOST => 'mirrored',
            // All letters: on a circle some are always upside down.
            $share(fn (Letter $letter): bool => $letter->right[0] < -self::LEANING * hypot(...$letter->right)) >= 1.0 => 'on its head',
            default => null,
        };
    }

    /** @return list<Mend> one at most */
    private static function mends(Layer $layer, SheetSubject $subject): array
    {
        $placer = $subject->renderer->placer;
        foreach ([new Flip([$layer->id], Way::Across), new Flip([$layer->id], Way::Down), new Turn([$layer->id], 180.0)] as $operation) {
            $turned = Operations::apply([$operation], $subject->artwork, $placer)->artwork->layer($layer->id);
            if ($turned !== null && self::way($turned, $placer) === null) {
                return [Mend::by(sprintf('Set %s the right way round', $layer->called()), $operation)];
            }
        }

        return [];
    }
}
