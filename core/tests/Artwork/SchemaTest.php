<?php

declare(strict_types=1);

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Schema\ArtworkSchema;
use TallCrow\Tests\Fixtures;

/**
 * What the schema library opis/json-schema says of a file, as the kept schema has it.
 *
 * @return list<string> faults, as "path: reason"
 */
function schema_faults(mixed $file): array
{
    static $schema = null;
    $schema ??= json_decode((string) file_get_contents(dirname(__DIR__, 3).'/docs/artwork.schema.json'));
    $validator = (new Validator)->setMaxErrors(1);
    $result = $validator->validate(json_decode((string) json_encode($file, JSON_PRESERVE_ZERO_FRACTION)), $schema);
    $error = $result->error();

    return $error === null ? [] : (new ErrorFormatter)->formatFlat($error, fn ($e): string => implode('.', $e->data()->fullPath()).': '.(new ErrorFormatter)->formatErrorMessage($e));
}

function is_refused(mixed $file): bool
{
    try {
        ArtworkReader::data($file);
    } catch (ArtworkInvalid) {
        return true;
    }

    return false;
}

it('is kept in docs as the readers have it today', function (): void {
    $kept = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/docs/artwork.schema.json'), true);
    // After a change of the format: bin/crow schema --out docs/artwork.schema.json
    expect($kept)->toEqual(json_decode((string) json_encode(ArtworkSchema::file()), true))->and($kept['$schema'])->toBe('https://json-schema.org/draft/2020-12/schema');
});

it('holds every demo sheet, as it lies in its file and as it is written', function (string $file): void {
    $sheet = json_decode((string) file_get_contents($file), true);
    expect(schema_faults($sheet))->toBe([])->and(schema_faults(ArtworkReader::data($sheet)->toArray()))->toBe([]);
})->with(fn (): array => glob(dirname(__DIR__, 3).'/demo/artworks/*.json') ?: []);

it('refuses what the reader refuses', function (array $change): void {
    $sheet = array_replace_recursive(Fixtures::sheet([Fixtures::words('w', 'KITE', 2), Fixtures::shape('s', 'star', 1, more: ['masks' => [['kind' => 'ellipse']], 'distress' => [['texture' => 'cracks']]])]), $change);
    expect(is_refused($sheet))->toBeTrue()->and(schema_faults($sheet))->not->toBe([]);
})->with([
    'no format' => [['format' => 'tallcrow.artwork/7']],
    'an unknown key' => [['glow' => 1]],
    'a product that is none' => [['product' => 'mug']],
    'a sheet too wide' => [['sheet' => ['width' => 12_001]]],
    'half a pixel' => [['sheet' => ['height' => 10.5]]],
    'a colour that is none' => [['garments' => [['colour' => 'slate']]]],
    'an id with a blank' => [['layers' => [['id' => 'a b']]]],
    'a font with a path' => [['layers' => [['source' => ['font' => '../x.woff2']]]]],
    'a width of words' => [['layers' => [['placement' => ['width' => 'wide']]]]],
    'a source of no kind' => [['layers' => [['source' => ['kind' => 'film']]]]],
    'a text with columns' => [['layers' => [['source' => ['columns' => 2]]]]],
    'an effect of no kind' => [['layers' => [['effects' => [['kind' => 'sparkle']]]]]],
    'a phrase for a slug' => [['layers' => [['effects' => [['kind' => 'only', 'part' => 'one letter', 'colour' => null]]]]]],
    'a parameter of another effect' => [['layers' => [['effects' => [['bend' => 0.2]]]]]],
    'a mask with a stroke' => [['layers' => [1 => ['masks' => [['strokes' => []]]]]]],
    'a wear of no texture' => [['layers' => [1 => ['distress' => [['texture' => 'rust']]]]]],
    'a wear beyond its bound' => [['layers' => [1 => ['distress' => [['amount' => 0.91]]]]]],
    'a group with a place' => [['layers' => [1 => ['source' => ['kind' => 'group', 'shape' => null]]]]],
]);

it('takes a sheet in which every kind of line, mask, source and role stands', function (): void {
    $definitions = ArtworkSchema::definitions(false);
    expect($definitions['effectLine']['oneOf'])->toHaveCount(count(TallCrow\Effect\Catalogue::classes()))
        ->and(array_column(array_column($definitions['mask']['oneOf'], 'properties'), 'kind'))->toBe(array_map(fn (string $kind): array => ['const' => $kind], TallCrow\Artwork\MaskReader::kinds()))
        ->and($definitions['source']['oneOf'])->toHaveCount(6)->and($definitions['role']['oneOf'])->toHaveCount(2);
});

// Where a schema can say what the reader asks, both say the same: one value at a time is spoiled by chance.
it('agrees with the reader on sheets spoiled by chance', function (string $demo): void {
    $random = new Randomizer(new Xoshiro256StarStar(crc32($demo)));
    $whole = Fixtures::demo($demo)->toArray();
    $taken = $refused = 0;
    $odd = [null, true, -1, 0, 3, 0.5, 1e9, '', 'x', '#zz', '../x', [], [[]], ['kind' => 'group'], str_repeat('a', 300)];
    for ($i = 0; $i < 120; $i++) {
        $sheet = $whole;
        $at = &$sheet;
        while (true) {
            $keys = array_keys($at);
            $key = $keys[$random->getInt(0, count($keys) - 1)];
            if (! is_array($at[$key]) || $at[$key] === [] || $random->getInt(0, 4) === 0) {
                $value = $odd[$random->getInt(0, count($odd) - 1)];
                // PHP has one empty array for {} and [].
                $at[$key] = $value === [] && is_array($at[$key]) && ! array_is_list($at[$key]) ? 7 : $value;
                break;
            }
            $at = &$at[$key];
        }
        unset($at);
        $bySchema = schema_faults($sheet) !== [];
        // What the schema refuses the reader refuses; the reader looks further (ids, swatches and shields that are named).
        $bySchema ? $refused++ : $taken++;
        if ($bySchema) {
            expect(is_refused($sheet))->toBeTrue((string) json_encode(schema_faults($sheet)));
        }
    }
    expect($taken)->toBeGreaterThan(5)->and($refused)->toBeGreaterThan(30);
})->with(['kite-day', 'moth-night', 'tide-pool-papers']);
