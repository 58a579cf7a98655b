<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

use FFI\CData;

/**
 * An immutable area of the plane with straight edges: polygons that neither cross nor overlap. Lengths are in the unit of the outline that it was made
 * from. The computation is done by GEOS.
 */
final class Region
{
    /** Greatest distance of a chord from its curve, in inches: a tenth of a pixel at 300 ppi. */
    public const TOLERANCE = 0.1 / 300;

    /** Length by which a corner beyond the mitre limit is chamfered before the offset; too small to be seen. */
    private const CHAMFER = 0.0001;

    /** Points closer than this count as one, in inches: a twentieth of a pixel at 300 ppi. */
    private const CLOSE = 0.05 / 300;

    private const NOTHING = 1e-12;

    private function __construct(private readonly CData $geometry) {}

    public function __destruct()
    {
        Geos::call('Geom_destroy', $this->geometry);
    }

    /** The area that an outline fills by the nonzero rule, with curves flattened. */
    public static function filledBy(Path $path, float $tolerance = self::TOLERANCE): self
    {
        $contours = $path->contours($tolerance);
        if ($contours === []) {
            return self::none();
        }
        $lines = new self(Geos::collection(Geos::LINES, array_map(Geos::ring(...), $contours)));
        if (Geos::says('isSimple', $lines->geometry)) {
            // For properly nested rings of alternating direction the even-odd rule gives the same result, and is quicker.
            $built = new self(Geos::made('BuildArea', $lines->geometry));
            if (abs($built->area() - abs(array_sum(array_map(self::signedArea(...), $contours)))) < 1e-6 * max(1e-9, $built->area())) {
                return $built;
            }
        }

        return self::wound($lines, $contours);
    }

    /**
     * The area that a round brush covers along a line; a single point is a disc.
     *
     * @param  non-empty-list<array{float, float}>  $points
     */
    public static function along(array $points, float $width): self
    {
        $points = count($points) > 1 ? $points : [$points[0], [$points[0][0] + 1e-6, $points[0][1]]];
        $quadrant = max(4, (int) ceil(M_PI / 4 / max(1e-3, acos(max(0.0, 1 - 2 * self::TOLERANCE / max(1e-6, $width))))));
        $line = new self(Geos::line($points));

        return new self(Geos::buffer($line->geometry, $width / 2, $quadrant, Join::Round, 4.0));
    }

    /** @param  list<self>  $regions */
    public static function united(array $regions): self
    {
        if (count($regions) === 1) {
            return $regions[0];
        }
        $parts = array_merge([], ...array_map(fn (self $region): array => $region->polygons(), $regions));

        $all = new self(self::copies($parts));

        return new self(Geos::made('UnaryUnion', $all->geometry));
    }

    /** The offset (buffer) of the area, inwards if negative, with the given joins. */
    public function moved(float $by, Join $join = Join::Round, float $limit = 4.0): self
    {
        if (abs($by) < self::NOTHING) {
            return $this;
        }
        // Sagitta of a chord: r (1 − cos(angle / 2)).
        $half = acos(max(0.0, 1 - self::TOLERANCE / abs($by)));
        $quadrant = max(4, (int) ceil(M_PI / 4 / max(1e-3, $half)));
        $moved = [];
        // Buffering polygons one by one and uniting them is several times quicker than all at once.
        foreach ($this->polygons() as $polygon) {
            $cut = $join === Join::Round ? null : self::chamfered($polygon, $by > 0, $join === Join::Bevel ? M_SQRT2 : $limit);
            $moved[] = new self(Geos::buffer($cut === null ? $polygon : $cut->geometry, $by, $quadrant, $join, max(1.0, $limit, M_SQRT2)));
        }

        return match (true) {
            $moved === [] => self::none(),
            $by < 0 => self::collected($moved),
            default => self::united($moved),
        };
    }

    public function minus(self $other): self
    {
        return new self(Geos::made('Difference', $this->geometry, $other->geometry));
    }

    /** The area with all holes filled. */
    public function whole(): self
    {
        return self::united(array_map(fn (CData $polygon): self => self::polygon(Geos::points(Geos::made('GetExteriorRing', $polygon))), $this->polygons()));
    }

    /** Without holes and islands into which no disc of that diameter fits. */
    public function withoutCrumbs(float $size): self
    {
        [$kept, $dropped] = $this->parted($size);

        return $dropped === [] ? $this : self::collected($kept);
    }

    /** The holes that withoutCrumbs() fills. */
    public function crumbs(float $size): self
    {
        return self::collected($this->parted($size)[1]);
    }

    /** @return array{list<self>, list<self>} the polygons that are left, and the holes that are filled */
    private function parted(float $size): array
    {
        $kept = $dropped = [];
        foreach ($this->polygons() as $polygon) {
            $rings = self::rings($polygon);
            $outer = array_shift($rings);
            if ($outer === null || self::isCrumb($outer, $size)) {
                continue;
            }
            $holes = [];
            foreach ($rings as $hole) {
                if (self::isCrumb($hole, $size)) {
                    $dropped[] = self::polygon($hole);
                } else {
                    $holes[] = $hole;
                }
            }
            $kept[] = self::polygon($outer, $holes);
        }

        return [$kept, $dropped];
    }

    /** @param  list<self>  $regions  regions that do not touch one another */
    private static function collected(array $regions): self
    {
        return $regions === [] ? self::none() : new self(self::copies(array_merge([], ...array_map(fn (self $one): array => $one->polygons(), $regions))));
    }

    public function isEmpty(): bool
    {
        return $this->polygons() === [];
    }

    public function area(): float
    {
        return Geos::number('Area', $this->geometry);
    }

    /** Its outline: outer contours in one direction, holes in the other. */
    public function path(): Path
    {
        $segments = [];
        foreach ($this->polygons() as $polygon) {
            foreach (self::rings($polygon) as $ring) {
                $last = count($ring) - 1;
                [$x, $y] = $ring[0];
                $segments[] = ['M', $x, $y];
                for ($i = 1; $i < $last; $i++) {
                    [$toX, $toY] = $ring[$i];
                    // Offsetting corners leaves points too close to one another to be seen.
                    if (abs($toX - $x) > self::CLOSE || abs($toY - $y) > self::CLOSE) {
                        $segments[] = ['L', $x = $toX, $y = $toY];
                    }
                }
                $segments[] = ['Z'];
            }
        }

        return new Path($segments);
    }

    private static function none(): self
    {
        return new self(Geos::made('Geom_createEmptyPolygon'));
    }

    /**
     * @param  list<array{float, float}>  $outer
     * @param  list<list<array{float, float}>>  $holes
     */
    private static function polygon(array $outer, array $holes = []): self
    {
        return new self(Geos::made('Geom_createPolygon', Geos::ring($outer), Geos::pointers(array_map(Geos::ring(...), $holes)), count($holes)));
    }

    /** @param  list<CData>  $polygons  polygons of other regions */
    private static function copies(array $polygons): CData
    {
        return Geos::collection(Geos::POLYGONS, array_map(fn (CData $polygon): CData => Geos::made('Geom_clone', $polygon), $polygons));
    }

    /** @return list<CData> valid as long as this object */
    private function polygons(): array
    {
        $found = [];
        $count = Geos::count('GetNumGeometries', $this->geometry);
        for ($i = 0; $i < $count; $i++) {
            $part = Geos::made('GetGeometryN', $this->geometry, $i);
            if (Geos::count('GeomTypeId', $part) === Geos::POLYGON && ! Geos::says('isEmpty', $part)) {
                $found[] = $part;
            }
        }

        return $found;
    }

    /** @return list<list<array{float, float}>> closed, the outer ring first */
    private static function rings(CData $polygon): array
    {
        $rings = [self::running(Geos::points(Geos::made('GetExteriorRing', $polygon)), true)];
        $holes = Geos::count('GetNumInteriorRings', $polygon);
        for ($i = 0; $i < $holes; $i++) {
            $rings[] = self::running(Geos::points(Geos::made('GetInteriorRingN', $polygon, $i)), false);
        }

        return $rings;
    }

    /**
     * @param  list<array{float, float}>  $ring
     * @return list<array{float, float}>
     */
    private static function running(array $ring, bool $counterclockwise): array
    {
        return (self::signedArea($ring) > 0) === $counterclockwise ? $ring : array_reverse($ring);
    }

    /**
     * Splits self-crossing lines into faces, and keeps those whose winding number is not 0.
     *
     * @param  list<list<array{float, float}>>  $contours
     */
    private static function wound(self $lines, array $contours): self
    {
        $noded = new self(Geos::made('Node', $lines->geometry));
        $faces = new self(Geos::made('Polygonize', Geos::pointers([$noded->geometry]), 1));
        $filled = [];
        $winding = new WindingNumber($contours);
        foreach ($faces->polygons() as $face) {
            $point = new self(Geos::made('PointOnSurface', $face));
            if ($winding->about(Geos::number('GeomGetX', $point->geometry), Geos::number('GeomGetY', $point->geometry)) !== 0) {
                $filled[] = $face;
            }
        }
        $all = new self(self::copies($filled));

        return new self(Geos::made('UnaryUnion', $all->geometry));
    }

    /**
     * Chamfers corners whose mitre would exceed the limit, by a negligible length: after the offset each becomes a flat end at a distance of one width.
     * Null if there is none.
     */
    private static function chamfered(CData $polygon, bool $outwards, float $limit): ?self
    {
        $cut = false;
        $rings = [];
        foreach (self::rings($polygon) as $ring) {
            $rings[] = self::withoutPoints($ring, $outwards ? 1 : -1, $limit, $cut);
        }
        $outer = array_shift($rings);

        return $cut && $outer !== null ? self::polygon($outer, $rings) : null;
    }

    /**
     * @param  list<array{float, float}>  $ring  ring with its inside on the left
     * @return list<array{float, float}>
     */
    private static function withoutPoints(array $ring, int $side, float $limit, bool &$cut): array
    {
        $count = count($ring) - 1;
        $made = [];
        for ($i = 0; $i < $count; $i++) {
            [$x, $y] = $ring[$i];
            [$px, $py] = $ring[($i + $count - 1) % $count];
            [$nx, $ny] = $ring[$i + 1];
            [$before, $after] = [hypot($x - $px, $y - $py), hypot($nx - $x, $ny - $y)];
            if ($before < self::NOTHING || $after < self::NOTHING) {
                continue;
            }
            [$ax, $ay, $bx, $by] = [($x - $px) / $before, ($y - $py) / $before, ($nx - $x) / $after, ($ny - $y) / $after];
            // Length of a mitre in widths: 1 ÷ cos(turn / 2).
            $reach = 1 / max(1e-9, sqrt(max(0.0, (1 + $ax * $bx + $ay * $by) / 2)));
            if ($side * ($ax * $by - $ay * $bx) > 0 && $reach > $limit + 1e-9) {
                $cut = true;
                $back = min(self::CHAMFER, $before / 3);
                $on = min(self::CHAMFER, $after / 3);
                array_push($made, [$x - $ax * $back, $y - $ay * $back], [$x + $bx * $on, $y + $by * $on]);
            } else {
                $made[] = [$x, $y];
            }
        }
        $made[] = $made[0] ?? $ring[0];

        return $made;
    }

    /** @param  list<array{float, float}>  $ring */
    private static function isCrumb(array $ring, float $size): bool
    {
        [$xs, $ys] = [array_column($ring, 0), array_column($ring, 1)];
        if ($xs === [] || $ys === [] || max($xs) - min($xs) < $size || max($ys) - min($ys) < $size) {
            return true;
        }
        // 2 × area ÷ perimeter is the width of a long strip; a polygon wider than that is no crumb.
        $edge = 0.0;
        for ($i = 1, $n = count($ring); $i < $n; $i++) {
            $edge += hypot($ring[$i][0] - $ring[$i - 1][0], $ring[$i][1] - $ring[$i - 1][1]);
        }
        if (2 * abs(self::signedArea($ring)) > $size * $edge) {
            return false;
        }
        $polygon = self::polygon($ring);

        return (new self(Geos::buffer($polygon->geometry, -$size / 2, 8, Join::Round, 1.0)))->isEmpty();
    }

    /** @param  list<array{float, float}>  $ring */
    private static function signedArea(array $ring): float
    {
        $sum = 0.0;
        for ($i = 1, $n = count($ring); $i < $n; $i++) {
            $sum += $ring[$i - 1][0] * $ring[$i][1] - $ring[$i][0] * $ring[$i - 1][1];
        }

        return $sum / 2;
    }
}
