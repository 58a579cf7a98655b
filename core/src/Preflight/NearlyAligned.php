<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Layer;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Compose\Edge;
use TallCrow\Edit\Move;
use TallCrow\Effect\Words\Jitter;
use TallCrow\Geometry\Box;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** Pieces that are almost aligned with one another or with the centre of the sheet. Whether that is a slip or intended, the seller decides. */
final class NearlyAligned implements ChecksSheet
{
    /** Offsets in inches between these bounds are told: smaller ones are invisible, larger ones count as intended (our choice). */
    public const SEEN = 0.006;

    public const MEANT = 0.09;

    private const MOST = 6;

    public function sheet(SheetSubject $subject): array
    {
        $boxes = [];
        foreach ($subject->artwork->layers as $layer) {
            try {
                $box = $layer->on && ! self::isShaken($layer) ? self::box($layer, $subject) : null;
            } catch (AssetUnusable|MissingGlyphs|FontRefused) {
                $box = null;
            }
            if ($box !== null) {
                $boxes[] = [$layer, $box];
            }
        }
        $findings = [];
        foreach ($boxes as $i => [$layer, $box]) {
            $near = $this->nearest($box, $subject->artwork->sheet->box(), array_slice($boxes, 0, $i));
            if ($near !== null && count($findings) < self::MOST) {
                $findings[] = self::finding($layer, $box, ...$near);
            }
        }

        return $findings;
    }

    /**
     * @param  list<array{Layer, Box}>  $others  the layers below
     * @return array{Edge, float, string}|null the edge, its offset, and a name of what it is nearly aligned with
     */
    private function nearest(Box $box, Box $sheet, array $others): ?array
    {
        $found = null;
        $taken = [true => false, false => false];
        $look = function (Edge $edge, float $at, string $name) use ($box, &$found, &$taken): void {
            $off = $at - $edge->of($box);
            if (abs($off) < self::SEEN) {
                $taken[$edge->isAcross()] = true;
            } elseif (abs($off) <= self::MEANT && ($found === null || abs($off) < abs($found[1]))) {
                $found = [$edge, $off, $name];
            }
        };
        $look(Edge::Middle, $sheet->centreX(), 'the middle of the sheet');
        foreach ($others as [$other, $its]) {
            $look(Edge::Middle, $its->centreX(), 'the middle of '.$other->called());
            $look(Edge::Centre, $its->centreY(), 'the middle of '.$other->called());
            foreach ($its->width() > 0 && $box->width() > 0 ? [Edge::Left, Edge::Right] : [] as $edge) {
                $look($edge, $edge->of($its), sprintf('the %s edge of %s', $edge->value, $other->called()));
            }
        }

        // If it is exactly aligned with something, being near something else is no slip.
        return $found !== null && $taken[$found[0]->isAcross()] ? null : $found;
    }

    /** Whether an effect jitters the letters, which are then meant to be uneven. */
    private static function isShaken(Layer $layer): bool
    {
        return array_filter($layer->effects, fn (EffectLine $line): bool => $line->on && $line->kind === Jitter::kind()) !== [];
    }

    /** The box to compare. A rotated piece, or words about a centre, have no edges to align, so only their centre counts. */
    private static function box(Layer $layer, SheetSubject $subject): ?Box
    {
        $place = $layer->placement;
        $isTurned = $place !== null && abs(fmod($place->turn, 90.0)) > 0.01;

        return $isTurned && ! $layer->repeat?->on ? Box::centred($place->x, $place->y, 0, 0) : $subject->renderer->placer->middle($layer);
    }

    private static function finding(Layer $layer, Box $box, Edge $edge, float $off, string $name): Finding
    {
        $way = $edge->isAcross() ? ($off > 0 ? 'left of' : 'right of') : ($off > 0 ? 'above' : 'below');

        $across = $edge->isAcross();

        return Finding::of(
            Group::Composition, 'line:'.$layer->id, $layer->called(), Verdict::Warn, sprintf('%.2f in off', abs($off)), 'in line, or clearly not',
            sprintf('%s is %.3f in %s %s: nearly in line, and not quite.', $layer->called(), abs($off), $way, $name),
        )->at([$box])->about($layer->id)->mendedBy(Mend::by(
            sprintf('Move it %.3f in %s', abs($off), $across ? ($off > 0 ? 'right' : 'left') : ($off > 0 ? 'down' : 'up')),
            new Move([$layer->id], $across ? $off : 0.0, $across ? 0.0 : $off),
        ));
    }
}
