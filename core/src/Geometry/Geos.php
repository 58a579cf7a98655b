<?php

declare(strict_types=1);

namespace TallCrow\Geometry;

use FFI;
use FFI\CData;

/**
 * The functions of GEOS that Region uses (Debian's libgeos-c1v5): https://libgeos.org/doxygen/geos__c_8h.html
 *
 * @internal
 */
final class Geos
{
    private const DECLARATIONS = <<<'C'
        void *GEOS_init_r(void);
        void *GEOSCoordSeq_copyFromBuffer_r(void *h, const double *buffer, unsigned int size, int hasZ, int hasM);
        int GEOSCoordSeq_copyToBuffer_r(void *h, const void *s, double *buffer, int hasZ, int hasM);
        int GEOSGetNumCoordinates_r(void *h, const void *g);
        void *GEOSGeom_createLinearRing_r(void *h, void *s);
        void *GEOSGeom_createPolygon_r(void *h, void *shell, void **holes, unsigned int n);
        void *GEOSGeom_createEmptyPolygon_r(void *h);
        void *GEOSGeom_createCollection_r(void *h, int type, void **parts, unsigned int n);
        void GEOSGeom_destroy_r(void *h, void *g);
        void *GEOSGeom_clone_r(void *h, const void *g);
        const void *GEOSGeom_getCoordSeq_r(void *h, const void *g);
        const void *GEOSGetExteriorRing_r(void *h, const void *g);
        int GEOSGetNumInteriorRings_r(void *h, const void *g);
        const void *GEOSGetInteriorRingN_r(void *h, const void *g, int n);
        int GEOSGetNumGeometries_r(void *h, const void *g);
        const void *GEOSGetGeometryN_r(void *h, const void *g, int n);
        int GEOSGeomTypeId_r(void *h, const void *g);
        char GEOSisEmpty_r(void *h, const void *g);
        char GEOSisSimple_r(void *h, const void *g);
        int GEOSArea_r(void *h, const void *g, double *area);
        void *GEOSBuildArea_r(void *h, const void *g);
        void *GEOSNode_r(void *h, const void *g);
        void *GEOSPolygonize_r(void *h, const void *const *parts, unsigned int n);
        void *GEOSPointOnSurface_r(void *h, const void *g);
        int GEOSGeomGetX_r(void *h, const void *g, double *x);
        int GEOSGeomGetY_r(void *h, const void *g, double *y);
        void *GEOSUnaryUnion_r(void *h, const void *g);
        void *GEOSDifference_r(void *h, const void *a, const void *b);
        void *GEOSGeom_createLineString_r(void *h, void *s);
        void *GEOSVoronoiDiagram_r(void *h, const void *g, const void *envelope, double tolerance, int onlyEdges);
        void *GEOSBufferWithStyle_r(void *h, const void *g, double width, int quadrantSegments, int cap, int join, double mitreLimit);
        C;

    public const POLYGON = 3;

    public const LINES = 5;

    public const POLYGONS = 6;

    /** GEOSBufferCapStyles, for open lines. */
    private const ROUND_CAP = 1;

    private static ?FFI $library = null;

    private static ?CData $handle = null;

    public static function call(string $function, mixed ...$arguments): mixed
    {
        return self::library()->{"GEOS{$function}_r"}(self::$handle, ...$arguments);
    }

    /**
     * Calls a function that returns a new geometry.
     *
     * @throws GeometryFailed
     */
    public static function made(string $function, mixed ...$arguments): CData
    {
        $made = self::call($function, ...$arguments);

        return $made instanceof CData && ! FFI::isNull($made) ? $made : throw GeometryFailed::during($function);
    }

    public static function number(string $function, mixed ...$arguments): float
    {
        $out = self::library()->new('double');
        assert($out instanceof CData);
        self::call($function, ...[...$arguments, FFI::addr($out)]);

        return (float) $out->cdata;
    }

    public static function count(string $function, mixed ...$arguments): int
    {
        $count = self::call($function, ...$arguments);

        return is_int($count) ? $count : throw GeometryFailed::during($function);
    }

    /** @param  list<array{float, float}>  $points  closed: the first point is repeated at the end */
    public static function ring(array $points): CData
    {
        return self::made('Geom_createLinearRing', self::sequence($points));
    }

    /** @param  non-empty-list<array{float, float}>  $points  at least two */
    public static function line(array $points): CData
    {
        return self::made('Geom_createLineString', self::sequence($points));
    }

    /** @param  list<array{float, float}>  $points */
    private static function sequence(array $points): CData
    {
        $count = count($points);
        $flat = array_merge(...$points);
        $buffer = self::library()->new('double['.(2 * $count).']');
        assert($buffer instanceof CData);
        FFI::memcpy($buffer, pack('d*', ...$flat), 16 * $count);

        return self::made('CoordSeq_copyFromBuffer', $buffer, $count, 0, 0);
    }

    public static function says(string $question, CData $geometry): bool
    {
        $answer = self::call($question, $geometry);

        return is_string($answer) ? ord($answer) === 1 : throw GeometryFailed::during($question);
    }

    /**
     * @param  CData  $ring  a ring of a polygon
     * @return list<array{float, float}> closed
     */
    public static function points(CData $ring): array
    {
        $size = self::count('GetNumCoordinates', $ring);
        $buffer = self::library()->new('double['.(2 * $size).']');
        assert($buffer instanceof CData);
        self::call('CoordSeq_copyToBuffer', self::made('Geom_getCoordSeq', $ring), $buffer, 0, 0);
        /** @var list<float> $flat */
        $flat = array_values((array) unpack('d*', FFI::string($buffer, max(0, 16 * $size))));
        /** @var list<array{float, float}> $points */
        $points = array_chunk($flat, 2);

        return $points;
    }

    /**
     * The sides of the Voronoi cells of some points, ordered by their start.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @return list<array{float, float, float, float}>
     */
    public static function cells(array $points): array
    {
        $line = self::line($points);
        $cells = self::made('VoronoiDiagram', $line, null, 0.0, 1);
        $sides = [];
        for ($i = 0, $count = self::count('GetNumGeometries', $cells); $i < $count; $i++) {
            $ends = self::points(self::made('GetGeometryN', $cells, $i));
            for ($k = 1, $n = count($ends); $k < $n; $k++) {
                $sides[] = [...$ends[$k - 1], ...$ends[$k]];
            }
        }
        self::call('Geom_destroy', $cells);
        self::call('Geom_destroy', $line);
        sort($sides);

        return $sides;
    }

    /** @param  list<CData>  $parts  whose ownership passes to the collection */
    public static function collection(int $type, array $parts): CData
    {
        $array = self::pointers($parts);

        return self::made('Geom_createCollection', $type, $array, count($parts));
    }

    /** @param  list<CData>  $parts */
    public static function pointers(array $parts): CData
    {
        $array = self::library()->new('void *['.max(1, count($parts)).']');
        assert($array instanceof CData);
        foreach ($parts as $i => $part) {
            $array[$i] = $part;
        }

        return $array;
    }

    /** @param  int  $quadrant  chords per quarter circle */
    public static function buffer(CData $geometry, float $by, int $quadrant, Join $join, float $limit): CData
    {
        $style = match ($join) {
            Join::Round => 1,
            Join::Mitre => 2,
            Join::Bevel => 3,
        };

        return self::made('BufferWithStyle', $geometry, $by, $quadrant, self::ROUND_CAP, $style, $limit);
    }

    private static function library(): FFI
    {
        try {
            self::$library ??= FFI::cdef(self::DECLARATIONS, 'libgeos_c.so.1');
        } catch (FFI\Exception $missing) {
            throw GeometryFailed::library($missing);
        }
        // No message handlers: failures return null.
        // @phpstan-ignore method.notFound (declared above)
        $handle = self::$handle ?? self::$library->GEOS_init_r();
        self::$handle = $handle instanceof CData ? $handle : throw GeometryFailed::during('init');

        return self::$library;
    }
}
