<?php

declare(strict_types=1);

use TallCrow\Artwork\Garment;
use TallCrow\Colour\Srgb;
use TallCrow\Cutout\ColourKeys;
use TallCrow\Preflight\InkAndCloth;
use TallCrow\Preflight\Standing;
use TallCrow\Preflight\VanishingInk;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\PictureType;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** Contrast of WCAG 2.2 by the words of the standard, and not by our own class. */
function wcag_contrast(string $one, string $other): float
{
    $light = function (string $hex): float {
        [$r, $g, $b] = array_map(fn (int $level): float => $level / 255 <= 0.04045 ? $level / 255 / 12.92 : (($level / 255 + 0.055) / 1.055) ** 2.4, sscanf($hex, '#%02x%02x%02x') ?? [0, 0, 0]);

        return 0.2126 * $r + 0.7152 * $g + 0.0722 * $b + 0.05;
    };

    return max($light($one), $light($other)) / min($light($one), $light($other));
}

/** A picture that ImageMagick draws, 200 px each way. */
function drawn_by_magick(string ...$draw): Image
{
    $path = Fixtures::temporary('standing').'/p.png';
    Fixtures::run(['convert', '-size', '200x200', 'xc:none', ...array_merge([], ...array_map(fn (string $one): array => ['-fill', explode(' ', $one, 2)[0], '-draw', explode(' ', $one, 2)[1]], $draw)), "PNG32:$path"]);

    return ImageFile::read(PictureType::Png, $path)->asInk()->settled();
}

/** The share of the ink that is lost on a cloth. */
function lost_share(Image $picture, string $cloth): float
{
    return Standing::of(InkAndCloth::of($picture), ColourKeys::of($picture), new Garment('Cloth', Srgb::hex($cloth)))->share();
}

it('loses a colour on itself, whatever it is, and none that WCAG 2.2 sets well apart', function (): void {
    $colours = ['#000000', '#17181a', '#1b2742', '#4a1216', '#1d3323', '#3d4a57', '#8c2f23', '#b04a2c', '#6d7a2c', '#3f7f95', '#d9a441', '#e4d9c3', '#f3ead7', '#ffffff'];
    foreach ($colours as $ink) {
        expect(Standing::isLost(Srgb::hex($ink), Srgb::hex($ink)))->toBeTrue($ink);
        foreach ($colours as $cloth) {
            if (wcag_contrast($ink, $cloth) >= 1.65) {
                expect(Standing::isLost(Srgb::hex($ink), Srgb::hex($cloth)))->toBeFalse("$ink on $cloth");
            }
            expect(Standing::isLost(Srgb::hex($ink), Srgb::hex($cloth)))->toBe(Standing::isLost(Srgb::hex($cloth), Srgb::hex($ink)), "$ink and $cloth, either way about");
        }
    }
});

// What practitioners say of pairs of shirt and ink (common practice): dark on dark is lost though the hues differ; bright hues of one lightness are not.
it('judges pairs as the trade does', function (string $ink, string $cloth, bool $isLost): void {
    expect(Standing::isLost(Srgb::hex($ink), Srgb::hex($cloth)))->toBe($isLost);
})->with([
    'navy on black' => ['#16243f', '#17181a', true], 'dark red on forest' => ['#4a1216', '#1d3323', true], 'charcoal on black' => ['#26282b', '#17181a', true], 'bone on oat' => ['#f3ead7', '#e4d9c3', true],
    'grey on grey' => ['#85878a', '#8d8f91', true], 'bone on black' => ['#f3ead7', '#17181a', false], 'gold on navy' => ['#d9a441', '#1b2742', false], 'red on leaf' => ['#c8372d', '#2f7d3a', false],
    'rust on slate' => ['#b04a2c', '#3d4a57', false], 'white on oat' => ['#ffffff', '#e4d9c3', true],
]);

it('loses ink of the cloth\'s colour that bare cloth borders, and none that is edged or enclosed by ink that stands out', function (array $draw, string $cloth, float $share): void {
    expect(lost_share(drawn_by_magick(...$draw), $cloth))->toEqualWithDelta($share, 0.02);
})->with([
    'a white disc on white' => [['#ffffff circle 100,100 100,40'], '#fdfdfb', 1.0],
    'the same in a dark line' => [['#1f1d1a circle 100,100 100,34', '#ffffff circle 100,100 100,40'], '#fdfdfb', 0.0],
    // Half of its edge lies open: all that is white, beside half a ring from 60 to 66 px.
    'half a line' => [['#1f1d1a circle 100,100 100,34', '#ffffff circle 100,100 100,40', '#ffffff rectangle 100,20 180,180'], '#fdfdfb', (M_PI * 60 ** 2 / 2 + 81 * 161) / (M_PI * 66 ** 2 / 2 + 81 * 161)],
    'a black spot in gold' => [['#d9a441 rectangle 20,20 180,180', '#17181a circle 100,100 100,70'], '#17181a', 0.0],
    'a black spot beside gold' => [['#d9a441 rectangle 20,20 90,180', '#17181a rectangle 120,60 180,120'], '#17181a', 61 * 61 / (61 * 61 + 71 * 161)],
    'half beside half, touching' => [['#d9a441 rectangle 20,20 99,180', '#17181a rectangle 100,20 180,180'], '#17181a', 0.5],
    'nothing of it' => [['#d9a441 rectangle 20,20 180,180'], '#17181a', 0.0],
    'all of the sheet' => [['#17181a rectangle 0,0 200,200'], '#17181a', 1.0],
]);

it('finds no cloth in the little holes of wear, and finds it in larger ones', function (int $hole, float $bared): void {
    $draw = ['#f3ead7 rectangle 20,20 180,180'];
    $picture = drawn_by_magick(...$draw);
    $bytes = $picture->toBytes();
    for ($y = 60; $y < 60 + $hole; $y++) {
        for ($x = 60; $x < 60 + $hole; $x++) {
            $bytes[4 * ($y * 200 + $x) + 3] = "\0";
        }
    }
    $seen = InkAndCloth::of(Image::raw($bytes, 200, 200, 4));
    expect($seen->beside->crop(50, 50, 40, 40)->area())->toBe($bared)->and(Fixtures::pixel($seen->ink->withBand($seen->ink)->withBand($seen->ink)->withBand($seen->ink), 60, 60)[0])->toBe(0);
    // Outside, the cloth begins one pixel within the ink.
    expect($seen->beside->crop(0, 0, 20, 200)->area())->toBe(4000.0)->and($seen->beside->crop(20, 25, 1, 30)->area())->toBe(30.0)->and($seen->beside->crop(21, 25, 1, 30)->area())->toBe(0.0);
})->with([[1, 0.0], [4, 0.0], [5, 49.0], [8, 100.0]]);

it('reads words by their letters, whatever is lost about them', function (array $effects, array $lost): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'KITE', 2.4, ['effects' => $effects])], ['garments' => [['name' => 'Black', 'colour' => '#17181a']]]);
    expect(array_map(fn (array $one): string => $one[0]->id, VanishingInk::lostPieces($artwork->brief->garments[0], subject_of($artwork, 50))))->toBe($lost);
})->with(function (): array {
    $fill = fn (string $colour): array => ['kind' => 'fill', 'colour' => $colour];
    $ring = fn (string $colour, float $width): array => ['kind' => 'outline', 'colour' => $colour, 'width' => $width];

    return [
        'pale in a lost ring' => [[$fill('#f3ead7'), $ring('#17181a', 0.15)], []],
        'with a lost shadow' => [[$fill('#f3ead7'), ['kind' => 'shadow', 'colour' => '#17181a', 'distance' => 0.2]], []],
        'lost in a lost ring' => [[$fill('#1d1e22'), $ring('#17181a', 0.15)], ['w']],
        'lost in a pale ring' => [[$fill('#1d1e22'), $ring('#f3ead7', 0.06)], []],
        'lost in a pale ring beyond a gap' => [[$fill('#1d1e22'), ['kind' => 'gap', 'width' => 0.06], $ring('#f3ead7', 0.06)], []],
        'lost far within a pale ring' => [[$fill('#1d1e22'), ['kind' => 'gap', 'width' => 0.25], $ring('#f3ead7', 0.01)], ['w']],
    ];
});

it('takes a piece for lost that is more than three hundredths of all ink, and words from a fiftieth of a square inch on', function (array $piece, bool $isLost): void {
    $artwork = Fixtures::artwork([ink_slab('all', 0.25, 0.25, 2.75, 1.45), $piece], ['garments' => [['name' => 'Black', 'colour' => '#17181a']]]);
    expect(array_map(fn (array $one): string => $one[0]->id, VanishingInk::lostPieces($artwork->brief->garments[0], subject_of($artwork, 50))))->toBe($isLost ? ['p'] : []);
})->with([
    // Of 3 square inches and its own.
    'a twentieth' => [fn (): array => ink_slab('p', 1, 3, 1.5, 3.3, '#17181a'), true],
    'a hundredth' => [fn (): array => ink_slab('p', 1, 3, 1.2, 3.2, '#17181a'), false],
    'small words' => [fn (): array => Fixtures::words('p', 'KITES', 0.5, ['placement' => ['y' => 3], 'effects' => [['kind' => 'fill', 'colour' => '#17181a']]]), true],
    'tiny words' => [fn (): array => Fixtures::words('p', 'KITES', 0.15, ['placement' => ['y' => 3], 'effects' => [['kind' => 'fill', 'colour' => '#17181a']]]), false],
]);
