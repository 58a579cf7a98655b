<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Effect\Inking\Inking;
use TallCrow\Effect\Inking\Ring;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Join;
use TallCrow\Geometry\Offset;
use TallCrow\Geometry\Path;
use TallCrow\Geometry\Region;
use TallCrow\Raster\Canvas;
use TallCrow\Type\Letter;

/**
 * The outlines of one piece's ink in inches on the sheet: its body, the rings around it, and what inside rings leave of the body. Each ring is an offset of
 * the one within it, so that all have their full width everywhere. Costly results are cached. Regions are given upright, before the piece's turn and its
 * translation to its place on the sheet.
 */
final class InkOutlines
{
    /** Outlines with at least this many segments have their results cached. */
    private const COSTLY = 50;

    /** Outlines with at least this many segments are drawn from the cached union of their letters. */
    private const MANY = 300;

    /** Outlines with at least this many segments are not searched for crumbs in a proof, whose pixels are larger than the crumbs. */
    private const VERY_MANY = 2500;

    /** Below this ppi a picture is a proof. */
    private const PRINT = 150.0;

    /** Inches: holes and islands of a knockout into which no disc of this diameter fits are dropped. */
    public const CRUMB = 0.012;

    /** Inches by which the area that a silhouette ring leaves free extends under the ink beside it, so that no hairline of the ring shows at that edge. */
    private const UNDER = 0.005;

    /** A solid shadow begins this many pixels behind the edge that casts it, but never deeper than the finest line is wide. */
    private const BEHIND = 1.5;

    /** Greatest distance, in pixels, of a chord from its curve: it keeps an edge's coverage within two levels of 255. */
    private const STRAY = 0.008;

    /** @var array<string, Path> */
    private array $paths = [];

    /** @var array<string, Region> */
    private array $regions = [];

    private ?string $key = null;

    private readonly float $tolerance;

    /**
     * @param  non-empty-list<Letter>  $letters
     * @param  Affine  $lie  their turn and translation to the sheet; cached outlines are independent of it
     */
    public function __construct(
        private readonly array $letters,
        private readonly Inking $inking,
        private readonly Pictures $pictures,
        private readonly float $ppi,
        private readonly Affine $lie = new Affine(1, 0, 0, 1, 0, 0),
    ) {
        $this->tolerance = self::STRAY / max(60.0, $ppi);
    }

    /** The whole outline of the letters, without effects. */
    public function plain(): Path
    {
        return $this->paths['plain'] ??= $this->home()->transformed($this->lie);
    }

    /** The same upright. */
    private function home(): Path
    {
        return $this->paths['home'] ??= Letter::together($this->letters);
    }

    /** Fills the body, emboldened or thinned as asked for. */
    public function body(Canvas $canvas): void
    {
        $this->about($canvas, []);
    }

    /** Fills the clear inside of a hollow body, up to the middle of the line along its edge, so that no cloth shows between that line and what adjoins it. */
    public function hollow(Canvas $canvas): void
    {
        ($this->inking->inlines[0] ?? null)?->colour === null ? $this->body($canvas) : $canvas->fill($this->path('hollow'));
    }

    /** Fills all within a ring's outer edge; the inmost ring is number 0. */
    public function ring(Canvas $canvas, int $number): void
    {
        $rings = array_slice($this->inking->rings, 0, $number + 1);
        $silhouette = array_keys(array_filter($rings, fn (Ring $ring): bool => $ring->silhouette));
        $last = $silhouette === [] ? null : $silhouette[count($silhouette) - 1];
        if ($last === null) {
            $this->about($canvas, $this->steps($this->inking->rings, 0, $number));
        } else {
            $this->moved($canvas, $this->path("whole $last"), $this->steps($this->inking->rings, $last, $number));
        }
        if ($rings[$number]->crumbs > 0 && ($this->ppi >= self::PRINT || count($this->plain()->segments) < self::VERY_MANY)) {
            $canvas->fill($this->path("crumbs $number"));
        }
    }

    /** Fills all within the outermost edge. */
    public function outermost(Canvas $canvas): void
    {
        $this->inking->rings === [] ? $this->body($canvas) : $this->ring($canvas, count($this->inking->rings) - 1);
    }

    /** The area inside that a silhouette ring leaves free, extended a little under the ink; null for any other ring. */
    public function free(int $number): ?Path
    {
        return $this->inking->rings[$number]->silhouette ? $this->path("free $number") : null;
    }

    /**
     * Fills (at least) the part of the body that inside rings take, up to and including the one of that number. The body's shape clips its outer edge later.
     */
    public function inside(Canvas $canvas, int $number): void
    {
        $this->inner($canvas, $this->steps($this->inking->inlines, 0, $number));
    }

    /** Fills (at least) the part of the body within a distance of its edge. */
    public function rim(Canvas $canvas, float $breadth): void
    {
        $this->inner($canvas, [[$breadth, Join::Round, 1.0]]);
    }

    /** The area within the outermost outline, ending under the ink. */
    public function backing(): Path
    {
        return $this->path('backing');
    }

    /**
     * The share of a solid shadow's length at which it begins. It starts just under the ink that casts it, so that where both end the edge is the ink's
     * alone and its coverage is not counted twice.
     */
    public function under(float $length): float
    {
        $ring = $this->inking->rings[count($this->inking->rings) - 1] ?? ($this->inking->hollow ? $this->inking->inlines[0] ?? null : null);
        $most = $ring === null ? INF : ($ring->colour === null ? 0.0 : $ring->width / 2);

        return min(self::BEHIND / $this->ppi, self::CRUMB, $most, $length / 2) / max(1e-9, $length);
    }

    /** The outline of everything that casts a shadow. */
    public function casting(): Path
    {
        return $this->path(match (true) {
            $this->inking->rings !== [] => 'ring '.(count($this->inking->rings) - 1),
            $this->inking->grown == 0.0 => 'united',
            default => 'body',
        });
    }

    /** The silhouette of all its ink, hollow or not: rings and everything within them, without gaps. */
    public function shape(): Path
    {
        return $this->inking->rings === [] && $this->inking->grown == 0.0 && $this->inking->backing === null ? $this->plain() : $this->path('shape');
    }

    /** The body, emboldened or thinned as asked for. */
    public function bodyRegion(): Region
    {
        return $this->region($this->inking->grown == 0.0 ? 'united' : 'body');
    }

    /** All within a ring's outer edge; the inmost ring is number 0. */
    public function ringRegion(int $number): Region
    {
        return $this->region("ring $number");
    }

    /** The clear inside of a hollow body, up to the middle of the line along its edge. */
    public function hollowRegion(): Region
    {
        return $this->region($this->inking->inlines === [] ? 'body' : 'hollow');
    }

    /** The line along the edge of a hollow body. */
    public function lineRegion(): Region
    {
        return $this->bodyRegion()->minus($this->bodyRegion()->moved(-$this->inking->inlines[0]->width));
    }

    public function backingRegion(): Region
    {
        return $this->region('backing');
    }

    /** @param  list<array{float, Join, float}>  $steps  of rings */
    private function about(Canvas $canvas, array $steps): void
    {
        $grown = $this->inking->grown;
        $this->moved($canvas, $grown < 0 ? $this->path('body') : $this->plain(), $grown > 0 ? [[$grown, $this->inking->grownJoin, 4.0], ...$steps] : $steps);
    }

    /** @param  list<array{float, Join, float}>  $steps */
    private function moved(Canvas $canvas, Path $path, array $steps): void
    {
        $isRound = array_filter($steps, fn (array $step): bool => $step[1] !== Join::Round) === [];
        $width = array_sum(array_column($steps, 0));
        if ($width <= 0 || $isRound && $path === $this->plain() && count($path->segments) < self::MANY) {
            $canvas->fill($path);
            $canvas->stroke($path, 2 * $width);

            return;
        }
        // Round rings need no union, since overlapping offsets merge by themselves. Other joins do: a corner hidden inside another letter must not stick out.
        $area = $path === $this->plain() ? $this->path($isRound ? 'letters' : 'united') : $path;
        $isRound ? $canvas->grown($area, $width) : $canvas->fill(Offset::outwards($area->contours($this->tolerance), $steps, $this->tolerance));
    }

    /** @param  list<array{float, Join, float}>  $steps */
    private function inner(Canvas $canvas, array $steps): void
    {
        $body = $this->path($this->inking->grown == 0.0 ? 'united' : 'body');
        if (array_filter($steps, fn (array $step): bool => $step[1] !== Join::Round) === []) {
            $canvas->stroke($body, 2 * array_sum(array_column($steps, 0)));
        } else {
            $canvas->fill(Offset::inwards($body->contours($this->tolerance), $steps, $this->tolerance));
            // The body's shape clips this later, but its edge itself must be covered.
            $canvas->stroke($body, 4 / $this->ppi);
        }
    }

    private function path(string $what): Path
    {
        return $this->paths[$what] ??= $this->found($what)->transformed($this->lie);
    }

    private function found(string $what): Path
    {
        $make = fn (): Path => $what === 'letters'
            ? Path::join(...array_map(fn (Letter $letter): Path => Region::filledBy($letter->path, $this->tolerance)->path(), $this->letters))
            : $this->region($what)->path();

        return count($this->home()->segments) < self::COSTLY
            ? $make()
            : Path::unpacked($this->pictures->text("outline $what {$this->key()}", fn (): string => $make()->packed()));
    }

    private function region(string $what): Region
    {
        return $this->regions[$what] ??= $this->made($what);
    }

    private function made(string $what): Region
    {
        [$kind, $number] = [...explode(' ', $what), '0'];
        $at = (int) $number;

        return match ($kind) {
            // Letter by letter, then united: quicker than one large region.
            'united' => Region::united(array_map(fn (Letter $letter): Region => Region::filledBy($letter->path, $this->tolerance), $this->letters)),
            // Coarser chords will do for what is not drawn itself or lies under other ink.
            'rough' => Region::united(array_map(fn (Letter $letter): Region => Region::filledBy($letter->path), $this->letters)),
            'body' => $this->region('rough')->moved($this->inking->grown, $this->inking->grownJoin),
            'ring' => $this->beyond($at)->withoutCrumbs($this->inking->rings[$at]->crumbs),
            'crumbs' => $this->beyond($at)->crumbs($this->inking->rings[$at]->crumbs),
            'whole' => $this->within($at)->whole(),
            'free' => $this->region("whole $at")->minus($this->within($at))->moved(self::UNDER),
            'hollow' => $this->region('body')->moved(-$this->inking->inlines[0]->width / 2),
            'backing' => $this->region('body')->whole()->moved(-self::UNDER),
            'shape' => $this->inking->backing === null ? $this->all() : $this->all()->whole(),
            default => throw new \LogicException("There is no outline \"$what\"."),
        };
    }

    /** The area within a ring's outer edge. */
    private function beyond(int $number): Region
    {
        $region = $this->inking->rings[$number]->silhouette ? $this->region("whole $number") : $this->within($number);

        [$width, $join, $limit] = $this->steps($this->inking->rings, $number, $number)[0];

        return $region->moved($width, $join, $limit);
    }

    /** The area that a ring goes around. */
    private function within(int $number): Region
    {
        return $this->region($number === 0 ? 'body' : 'ring '.($number - 1));
    }

    /**
     * Offsets and joins of some rings. A gap takes the join of the ring beyond it, a last gap that of the ring before it.
     *
     * @param  list<Ring>  $rings
     * @return list<array{float, Join, float}>
     */
    private function steps(array $rings, int $from, int $to): array
    {
        $steps = [];
        for ($i = $from; $i <= $to; $i++) {
            $own = $rings[$i];
            if ($own->colour === null) {
                $beyond = array_values(array_filter(array_slice($rings, $i + 1), fn (Ring $ring): bool => $ring->colour !== null));
                $before = array_values(array_filter(array_slice($rings, 0, $i), fn (Ring $ring): bool => $ring->colour !== null));
                $own = $beyond[0] ?? ($before === [] ? $own : $before[count($before) - 1]);
            }
            $steps[] = [$rings[$i]->width, $own->join, $own->mitreLimit];
        }

        return $steps;
    }

    private function all(): Region
    {
        $all = $this->region('body');
        foreach ($this->inking->rings as $i => $ring) {
            $all = match (true) {
                $ring->colour === null => $all,
                $i > 0 && $this->inking->rings[$i - 1]->colour === null => Region::united([$all, $this->region("ring $i")->minus($this->region('ring '.($i - 1)))]),
                default => Region::united([$all, $this->region("ring $i")]),
            };
        }

        return $all;
    }

    private function key(): string
    {
        return $this->key ??= hash('xxh128', serialize([$this->home()->packed(), $this->tolerance, $this->inking->rings, $this->inking->grown, $this->inking->grownJoin, $this->inking->backing, $this->inking->inlines]));
    }
}
