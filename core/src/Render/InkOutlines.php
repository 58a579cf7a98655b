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
 * The outlines of one piece's ink, in inches on the sheet, as they are drawn: its body, the rings about it, what rings inside leave of it. Rings lie
 * about one another, so that all are as wide as they were asked to be wherever they go. What takes long is kept. Regions are given as the letters
 * lie before they are shifted.
 */
final class InkOutlines
{
    /** Segments from which on results are kept. */
    private const MANY = 300;

    /** Segments from which on a proof does not look for crumbs, which are smaller than its pixels. */
    private const VERY_MANY = 2500;

    /** Below this ppi a picture is a proof. */
    private const PRINT = 150.0;

    /** A disc of this diameter fits into every hole and island of a knockout, in inches. */
    public const CRUMB = 0.012;

    /** Inches by which what a ring leaves free reaches under the ink beside it, so that no line of the ring shows at its edge. */
    private const UNDER = 0.005;

    /** Pixels by which a shadow begins behind the edge that casts it, but by no more inches than the finest line is broad. */
    private const BEHIND = 1.5;

    /** Pixels by which a chord may stray: the coverage of an edge is right within two levels of 255. */
    private const STRAY = 0.008;

    /** @var array<string, Path> */
    private array $paths = [];

    /** @var array<string, Region> */
    private array $regions = [];

    private ?string $key = null;

    private readonly float $tolerance;

    /**
     * @param  non-empty-list<Letter>  $letters
     * @param  Affine  $shift  by which they lie on the sheet: what is kept of them is right wherever they are moved to
     */
    public function __construct(
        private readonly array $letters,
        private readonly Inking $inking,
        private readonly Pictures $pictures,
        private readonly float $ppi,
        private readonly Affine $shift = new Affine(1, 0, 0, 1, 0, 0),
    ) {
        $this->tolerance = self::STRAY / max(60.0, $ppi);
    }

    /** The whole outline as it is. */
    public function plain(): Path
    {
        return $this->paths['plain'] ??= $this->home()->transformed($this->shift);
    }

    /** The whole outline, before it is shifted. */
    private function home(): Path
    {
        return $this->paths['home'] ??= Letter::together($this->letters);
    }

    /** Fills the body, with all that it was emboldened or thinned by. */
    public function body(Canvas $canvas): void
    {
        $this->about($canvas, []);
    }

    /** Fills what a hollow body leaves clear, as far as the middle of the line along its edge: no cloth shows between that line and what lies about it. */
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

    /** What a ring on the silhouette alone leaves free within it, reaching a little under the ink; null of any other ring. */
    public function free(int $number): ?Path
    {
        return $this->inking->rings[$number]->silhouette ? $this->path("free $number") : null;
    }

    /** Fills at least all of the body that rings inside take, up to and with the one of that number; the body's own edge is left to its shape. */
    public function inside(Canvas $canvas, int $number): void
    {
        $this->inner($canvas, $this->steps($this->inking->inlines, 0, $number));
    }

    /** Fills at least all of the body that lies within a breadth of its edge. */
    public function rim(Canvas $canvas, float $breadth): void
    {
        $this->inner($canvas, [[$breadth, Join::Round, 1.0]]);
    }

    /** All that lies within the outermost outline, ending under the ink that is there. */
    public function backing(): Path
    {
        return $this->path('backing');
    }

    /**
     * From what share of its length on a solid shadow is drawn: so little under the ink that casts it that an edge of both is the ink's alone, and not
     * counted twice.
     */
    public function under(float $length): float
    {
        $ring = $this->inking->rings[count($this->inking->rings) - 1] ?? ($this->inking->hollow ? $this->inking->inlines[0] ?? null : null);
        $most = $ring === null ? INF : ($ring->colour === null ? 0.0 : $ring->width / 2);

        return min(self::BEHIND / $this->ppi, self::CRUMB, $most, $length / 2) / max(1e-9, $length);
    }

    /** All that casts a shadow: a region's outline. */
    public function casting(): Path
    {
        return $this->path(match (true) {
            $this->inking->rings !== [] => 'ring '.(count($this->inking->rings) - 1),
            $this->inking->grown == 0.0 => 'united',
            default => 'body',
        });
    }

    /** The shape of all its ink, hollow or not: rings and what lies within them, gaps aside. */
    public function shape(): Path
    {
        return $this->inking->rings === [] && $this->inking->grown == 0.0 && $this->inking->backing === null ? $this->plain() : $this->path('shape');
    }

    /** The body, with all that it was emboldened or thinned by. */
    public function bodyRegion(): Region
    {
        return $this->region($this->inking->grown == 0.0 ? 'united' : 'body');
    }

    /** All within a ring's outer edge; the inmost ring is number 0. */
    public function ringRegion(int $number): Region
    {
        return $this->region("ring $number");
    }

    /** What a hollow body leaves clear, as far as the middle of the line along its edge. */
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
        // Round rings about letters that overlap are those about both; a point that another letter hides must not stand out of it.
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
            // Beyond the edge nothing is seen, but the edge itself must be covered.
            $canvas->stroke($body, 4 / $this->ppi);
        }
    }

    private function path(string $what): Path
    {
        return $this->paths[$what] ??= $this->found($what)->transformed($this->shift);
    }

    private function found(string $what): Path
    {
        $make = fn (): Path => $what === 'letters'
            ? Path::join(...array_map(fn (Letter $letter): Path => Region::filledBy($letter->path, $this->tolerance)->path(), $this->letters))
            : $this->region($what)->path();

        return count($this->home()->segments) < self::MANY
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
            // Letter by letter: those that overlap are united afterwards.
            'united' => Region::united(array_map(fn (Letter $letter): Region => Region::filledBy($letter->path, $this->tolerance), $this->letters)),
            // For what is not drawn itself, or lies under other ink, coarser chords do.
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

    /** As far as a ring reaches. */
    private function beyond(int $number): Region
    {
        $region = $this->inking->rings[$number]->silhouette ? $this->region("whole $number") : $this->within($number);

        [$width, $join, $limit] = $this->steps($this->inking->rings, $number, $number)[0];

        return $region->moved($width, $join, $limit);
    }

    /** What a ring lies about. */
    private function within(int $number): Region
    {
        return $this->region($number === 0 ? 'body' : 'ring '.($number - 1));
    }

    /**
     * Widths and corners of some rings. A gap follows the corners of the ring beyond it; the last one, those of the ring before it.
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
