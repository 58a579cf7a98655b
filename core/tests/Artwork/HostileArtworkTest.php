<?php

declare(strict_types=1);

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Tests\Fixtures;

/** What someone may put where something else belongs. */
function hostile(Randomizer $random): mixed
{
    $values = [
        null, true, false, 0, -1, 1, 7, 0.5, -0.25, 1e9, -1e300, PHP_INT_MAX, PHP_INT_MIN, '', 'x', "\0", '#zzzzzz', '@', '@none', '../../etc/passwd', str_repeat('a', 20_000),
        "\u{202E}", "\u{FFFF}", [], [[]], [null], ['kind' => 'group'], ['x' => 1], range(1, 50), 'group', 'knockout', 'none', NAN, INF,
    ];

    return $values[$random->getInt(0, count($values) - 1)];
}

/**
 * The same sheet with one thing in it replaced, left out, added to or doubled.
 *
 * @param  array<array-key, mixed>  $sheet
 * @return array<array-key, mixed>
 */
function spoiled(array $sheet, Randomizer $random): array
{
    $at = &$sheet;
    while (is_array($at) && $at !== [] && $random->getInt(0, 9) > 0) {
        $keys = array_keys($at);
        $key = $keys[$random->getInt(0, count($keys) - 1)];
        if (! is_array($at[$key]) || $random->getInt(0, 5) === 0) {
            match ($random->getInt(0, 3)) {
                0, 1 => $at[$key] = hostile($random),
                2 => array_splice($at, (int) array_search($key, $keys, true), 1),
                default => $at[array_is_list($at) ? count($at) : 'unheard-of'] = $at[$key],
            };

            return $sheet;
        }
        $at = &$at[$key];
    }
    $at = hostile($random);

    return is_array($sheet) ? $sheet : [$sheet];
}

/** @return list<Artwork> the spoiled sheets that are still taken; every other is refused with its faults */
function taken_of(string $demo, int $seed, int $times): array
{
    $random = new Randomizer(new Xoshiro256StarStar($seed));
    $whole = Fixtures::demo($demo)->toArray();
    $taken = [];
    for ($i = 0; $i < $times; $i++) {
        $sheet = $whole;
        for ($more = $random->getInt(1, 3); $more > 0; $more--) {
            $sheet = spoiled($sheet, $random);
        }
        try {
            $taken[] = ArtworkReader::data($sheet);
        } catch (ArtworkInvalid $refused) {
            expect($refused->faults)->not->toBe([])->and(mb_check_encoding($refused->getMessage(), 'UTF-8'))->toBeTrue();
        }
    }

    return $taken;
}

dataset('demos', fn (): array => array_map(fn (string $file): string => basename($file, '.json'), glob(dirname(__DIR__, 3).'/demo/artworks/*.json') ?: []));

it('takes a spoiled sheet or says what is wrong with it, and fails in no other way', function (string $demo): void {
    $taken = taken_of($demo, crc32($demo), 1000);
    // Some faults do no harm: a colour or a number is another, a line is gone.
    expect(count($taken))->toBeGreaterThan(30)->toBeLessThan(900);
    foreach ($taken as $artwork) {
        $again = ArtworkReader::data(json_decode(json_encode($artwork->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true));
        expect($again->toArray())->toEqual($artwork->toArray());
    }
})->with('demos');

it('draws what it took, however odd, or names the line in trouble', function (string $demo): void {
    $troubles = 0;
    foreach (array_slice(taken_of($demo, 7, 60), 0, 12) as $artwork) {
        // A sheet of any size, drawn about a hundred pixels wide.
        $frame = Frame::sheet($artwork->sheet, max(0.5, min(6.0, 100 * $artwork->sheet->ppi->value / max($artwork->sheet->width, $artwork->sheet->height))));
        $image = Fixtures::renderer()->picture($artwork, $frame, function (LayerTrouble $trouble) use (&$troubles): void {
            expect($trouble->getMessage())->not->toBe('');
            $troubles++;
        });
        expect([$image->width(), $image->height(), $image->bands()])->toBe([$frame->width, $frame->height, 4]);
    }
})->with(['kite-day', 'bell-ringers-wave', 'kite-grid', 'rook-varsity', 'rangers-badge', 'tide-pool-papers']);
