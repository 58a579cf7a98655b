<?php

declare(strict_types=1);

namespace Demo;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;

/** The sheet that bin/bench times: 12 layers at 4500 × 5400 px (4 words with rings, 4 drawings, 2 rasters, a knockout, a figure) under sheet distress. */
final class Benchmark
{
    public static function artwork(): Artwork
    {
        $place = fn (float $x, float $y, float $width, float $turn = 0): array => ['x' => $x, 'y' => $y, 'width' => $width, 'height' => null, 'turn' => $turn];
        $ring = fn (float $width, string $colour, string $join = 'round'): array => ['kind' => 'outline', 'width' => $width, 'colour' => $colour, 'join' => $join];
        $fill = fn (string $colour): array => ['kind' => 'fill', 'colour' => $colour];
        $words = fn (string $id, string $text, string $font, array $placement, array $effects): array => [
            'id' => $id, 'source' => ['kind' => 'text', 'text' => $text, 'font' => "$font.woff2"], 'placement' => $placement, 'effects' => $effects,
        ];
        $art = fn (string $id, string $file, array $placement, array $effects = [], array $more = []): array => [
            'id' => $id, 'source' => ['kind' => 'art', 'file' => $file, 'frame' => 'file'], 'placement' => $placement, 'effects' => $effects,
        ] + $more;

        return ArtworkReader::data([
            'format' => Artwork::FORMAT, 'title' => 'Benchmark', 'product' => 'tee', 'side' => 'front', 'method' => 'dtg', 'rule' => 'accept-200',
            'sheet' => ['width' => 4500, 'height' => 5400, 'ppi' => 300],
            'garments' => [['name' => 'Slate', 'colour' => '#3d4a57'], ['name' => 'Forest', 'colour' => '#24382c'], ['name' => 'Oat', 'colour' => '#e4d9c3']],
            'layers' => [
                ['id' => 'disc', 'source' => ['kind' => 'shape', 'shape' => 'ellipse'], 'placement' => $place(7.5, 8, 10), 'effects' => [$fill('#d9a441')]],
                $art('sky', 'night-sky.png', $place(7.5, 8, 5.8), more: ['masks' => [['kind' => 'ellipse', 'width' => 0.96, 'height' => 0.96]]]),
                $art('pool', 'rock-pool.png', $place(7.5, 13.5, 4.8, 3)),
                $art('moth', 'moth.svg', $place(7.5, 8, 7)),
                $art('kite', 'kite.svg', $place(3, 5, 3.4, -12), [$fill('#b04a2c')]),
                $art('bell', 'ringing-bell.svg', $place(12, 5, 3, 8), [$fill('#f3ead7')]),
                $art('crab', 'crab.svg', $place(7.5, 13.2, 3), [$fill('#c8452c')]),
                ['id' => 'gap', 'role' => ['kind' => 'knockout', 'gap' => 0.1]] + $words('w', 'KITE SOCIETY', 'alfa-slab-one', $place(7.5, 11, 12.6), []),
                $words('name', 'QUARRY ROAD', 'alfa-slab-one', $place(7.5, 2.4, 13), [['kind' => 'arch', 'bend' => 0.3], $fill('#f3ead7'), $ring(0.1, '#b04a2c'), $ring(0.06, '#1f1d1a')]),
                $words('society', 'KITE SOCIETY', 'alfa-slab-one', $place(7.5, 11, 12.6), [$fill('#f3ead7'), $ring(0.04, '#24382c')]),
                $words('line', 'hold the line', 'yellowtail', $place(7.5, 15.6, 8, -4), [$fill('#e9c46a'), $ring(0.08, '#1f1d1a')]),
                $words('year', 'SINCE 1931', 'graduate', $place(7.5, 17.1, 6), [['kind' => 'letter-spacing', 'by' => 120], $fill('#f3ead7'), $ring(0.05, '#7a3527', 'mitre')]),
            ],
            'distress' => [['texture' => 'speckle', 'amount' => 0.08, 'scale' => 1, 'seed' => 11]],
        ]);
    }

    /** The same sheet under twelve lines of words with three rings and a warp. */
    public static function withTwelveLines(): Artwork
    {
        $lines = [];
        for ($i = 0; $i < 12; $i++) {
            $lines[] = ['KITE SOCIETY', 'QUARRY ROAD 19', 'HOLD THE LINE!', 'TIDE-POOL RANG'][$i % 4];
        }
        $sheet = self::artwork()->toArray();
        $sheet['layers'] = [...(array) $sheet['layers'], [
            'id' => 'twelve', 'source' => ['kind' => 'text', 'text' => implode("\n", $lines), 'font' => 'alfa-slab-one.woff2'],
            'placement' => ['x' => 7.5, 'y' => 9, 'width' => 13, 'height' => null],
            'effects' => [
                ['kind' => 'arch', 'bend' => 0.2], ['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#b04a2c'],
                ['kind' => 'outline', 'width' => 0.05, 'colour' => '#1f1d1a'], ['kind' => 'outline', 'width' => 0.05, 'colour' => '#e9c46a'],
            ],
        ]];

        return ArtworkReader::data($sheet);
    }

    /** The same sheet under three stacked textures, two knockouts and four masks of every kind but the clip. */
    public static function worn(): Artwork
    {
        $sheet = self::artwork()->toArray();
        /** @var list<array<string, mixed>> $layers */
        $layers = $sheet['layers'];
        foreach ($layers as $i => $layer) {
            $layers[$i] = match ($layer['id']) {
                'pool' => ['masks' => [['kind' => 'ellipse', 'width' => 0.9, 'height' => 0.9, 'feather' => 0.3]]] + $layer,
                'kite' => ['masks' => [['kind' => 'freehand', 'points' => [[0, 0], [1, 0.1], [0.9, 1], [0.1, 0.9]], 'feather' => 0.05]]] + $layer,
                'moth' => ['masks' => [['kind' => 'brush', 'strokes' => [['points' => [[0.2, 0.2], [0.8, 0.4], [0.3, 0.8]], 'width' => 0.3, 'hardness' => 0.7]]]]] + $layer,
                'line' => ['role' => ['kind' => 'knockout', 'gap' => 0.08, 'sets' => true]] + $layer,
                default => $layer,
            };
        }
        $sheet['layers'] = $layers;
        $sheet['distress'] = [
            ['texture' => 'speckle', 'amount' => 0.06, 'seed' => 11], ['texture' => 'cracks', 'amount' => 0.05, 'seed' => 4, 'scale' => 1.2], ['texture' => 'photocopy', 'amount' => 0.06, 'seed' => 2],
        ];

        return ArtworkReader::data($sheet);
    }

    /** Those twelve lines alone. */
    public static function twelveLines(): Artwork
    {
        $artwork = self::withTwelveLines();

        return $artwork->withLayers(array_slice($artwork->layers, -1))->withDistress([]);
    }
}
