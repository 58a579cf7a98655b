<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\EffectOrder;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\LetterSize;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Reading;
use TallCrow\Effect\BendsOutline;
use TallCrow\Effect\CurvesLine;
use TallCrow\Effect\Values;
use TallCrow\Effect\Warp\Around;
use TallCrow\Render\Placer;

/** Stands words around the middle of a piece, inside or outside its edge, or around a circle that suits the words. Their size stays, unless they are too long. */
final readonly class StandAround extends Operation
{
    /** Default gap to the edge, as a share of the cap height (common practice). */
    private const GAP = 0.4;

    /** Diameter of the circle that suits words alone, as a share of their length: they take 153 degrees of it. */
    private const SUITS = 0.75;

    /** Largest share of the circle that words may take. */
    private const MOST = 0.92;

    /** Rounds in which too long words are made smaller; each changes the circle a little. */
    private const ROUNDS = 8;

    /**
     * @param  string  $about  the id of a layer; empty for a circle that suits the words
     * @param  ?float  $gap  inches between the edge and the capitals; null for a share of their height
     */
    public function __construct(public string $id, public string $about, public EdgeSide $edge, public string $side, public ?float $gap) {}

    public static function name(): string
    {
        return 'stand-around';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'about', 'edge', 'side', 'gap');

        return new self(
            $node->id('id'), $node->text('about', 40, ''), $node->choice('edge', EdgeSide::class), $node->word('side', [Around::OVER, Around::UNDER]),
            $node->isNull('gap') ? null : $node->number('gap', -20, 20),
        );
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        $layer = Pieces::one($artwork, $this->id);
        $em = $placer->em($layer);
        if ($em === null || $layer->placement === null) {
            throw $layer->isWords() ? EditRefused::noInk($layer->called()) : EditRefused::noWords($layer->called());
        }
        // A shaken first letter does not tell the size of all.
        $em = $layer->placement->letters === LetterSize::Em ? $layer->placement->letterSize : $em;
        $capital = $layer->placement->letters === LetterSize::Capitals ? $layer->placement->letterSize : $em * $placer->capital($layer);
        $straight = $layer->withEffects(array_values(array_filter($layer->effects, fn (EffectLine $line): bool => ! is_a($line->is(), BendsOutline::class, true) && ! is_a($line->is(), CurvesLine::class, true))))
            ->withRepeat(null)->withPlacement($layer->placement->lettered(LetterSize::Capitals, $capital));
        $length = $placer->place($straight)->width ?? throw EditRefused::noInk($layer->called());
        [$diameter, $x, $y, $capital] = $this->about === '' ? $this->own($layer, $placer, $length, $capital) : $this->about($artwork, $placer, $length, $capital);

        $line = new EffectLine(Around::kind(), new Values(['diameter' => round($diameter, 4), 'side' => $this->side]), true);
        $lines = $straight->effects;
        array_splice($lines, EffectOrder::place($lines, Around::class), 0, [$line]);

        return Edited::of($artwork->withLayer($this->id, $layer->withEffects($lines)->withPlacement(
            new Placement(round($x, 4), round($y, 4), null, null, 0, Flip::None, LetterSize::Capitals, round($capital, 4)),
        )));
    }

    /** @return array{float, float, float, float} diameter, its centre, and the cap height */
    private function own(Layer $layer, Placer $placer, float $length, float $capital): array
    {
        $diameter = max(2 * $capital, self::SUITS * $length);
        $box = $placer->box($layer) ?? throw EditRefused::noInk($layer->called());
        $in = ($capital + $diameter) / 2;

        return [$diameter, $box->centreX(), $this->side === Around::OVER ? $box->top + $in : $box->bottom - $in, $capital];
    }

    /** @return array{float, float, float, float} diameter, its centre, and the cap height */
    private function about(Artwork $artwork, Placer $placer, float $length, float $capital): array
    {
        $piece = $this->about === $this->id ? null : $artwork->layer($this->about);
        $box = $piece === null ? null : $placer->box($piece);
        if ($piece === null || $box === null) {
            throw $piece === null ? EditRefused::gone($this->about) : EditRefused::noInk($piece->called());
        }
        [$outwards, $across] = $this->edge === EdgeSide::Outside ? [1, max($box->width(), $box->height())] : [-1, min($box->width(), $box->height())];
        for ($round = 0; ; $round++) {
            $diameter = $across + $outwards * (2 * ($this->gap ?? self::GAP * $capital) + $capital);
            // The baseline of words over the top lies within the circle through the middle of their capitals.
            $room = self::MOST * M_PI * ($diameter - ($this->side === Around::OVER ? $capital : -$capital));
            if ($diameter < 2 * $capital) {
                throw EditRefused::noRoomAround($piece->called());
            }
            if ($length <= $room || $round === self::ROUNDS) {
                return [$diameter, $box->centreX(), $box->centreY(), $capital];
            }
            [$capital, $length] = [$capital * $room / $length, $room];
        }
    }
}
