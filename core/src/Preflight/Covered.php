<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Edit\Reorder;
use TallCrow\Render\Frame;

/** Pieces that hardly show: hidden by other pieces, or words in the colour of their surroundings. */
final class Covered implements ChecksSheet
{
    private const PPI = 50.0;

    /** Share of a piece's ink that must be visible (our choice); more for words than for art, which may well be half hidden. */
    private const WORDS = 0.6;

    private const PIECE = 0.06;

    /** Pieces smaller than this, in square inches, are not checked. */
    private const LEAST = 0.03;

    public function sheet(SheetSubject $subject): array
    {
        $frame = Frame::sheet($subject->artwork->sheet, self::PPI);
        $top = $subject->topmost($frame);
        $findings = [];
        foreach (array_reverse($top->counted(), true) as $id => $area) {
            $layer = $subject->artwork->layer($id);
            $isLarge = $layer !== null && $top->whole[$id] >= self::LEAST * self::PPI ** 2;
            if ($layer === null || (! $isLarge && ! WeakInk::isOf($layer))) {
                continue;
            }
            $share = $area / max(1, $top->whole[$id]);
            $finding = match (true) {
                self::isTwice($layer, $subject) => null,
                $isLarge && $share < ($layer->isWords() ? self::WORDS : self::PIECE) => self::hidden($layer, $share, $subject),
                $layer->isWords() => SunkWords::find($layer, WeakInk::topmost($layer, $frame, $subject)->seen($layer->id), $subject, self::PPI),
                default => null,
            };
            if ($finding !== null) {
                $findings[] = $finding->about($layer->id)->at(array_filter([$subject->renderer->placer->box($layer)]));
            }
        }

        return $findings;
    }

    /** Whether the piece is a duplicate, which is another check's finding. */
    private static function isTwice(Layer $layer, SheetSubject $subject): bool
    {
        return array_filter($subject->pieces(), fn (Layer $other): bool => $other !== $layer && $other->on && NothingThere::isSame($layer, $other)) !== [];
    }

    private static function hidden(Layer $layer, float $share, SheetSubject $subject): Finding
    {
        $raised = self::raised($layer->id, $subject->artwork->layers);
        $finding = Finding::of(
            Group::Composition, 'covered:'.$layer->id, $layer->called().', covered', $layer->isWords() ? Verdict::Fail : Verdict::Warn, sprintf('%d %% seen', round($share * 100)), 'most of it',
            sprintf('%d %% of %s is hidden by what lies over it.', round((1 - $share) * 100), $layer->called()),
        );

        return $raised === [] ? $finding : $finding->mendedBy(Mend::by(sprintf('Bring %s to the top', $layer->called()), ...$raised));
    }

    /**
     * Moves a piece to the top of its list, and likewise each group that contains it.
     *
     * @param  list<Layer>  $layers
     * @return list<Reorder>
     */
    private static function raised(string $id, array $layers): array
    {
        foreach ($layers as $layer) {
            $own = $layer->id === $id;
            $within = $own ? [] : self::raised($id, $layer->children());
            if ($own || $within !== []) {
                return [...$within, new Reorder($layer->id, count($layers) - 1)];
            }
        }

        return [];
    }
}
