<?php

declare(strict_types=1);

use TallCrow\Preflight\Covered;
use TallCrow\Preflight\EffectivePpi;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\NothingThere;
use TallCrow\Preflight\SmallWords;
use TallCrow\Preflight\VanishingInk;
use TallCrow\Preflight\Verdict;
use TallCrow\Preflight\WornWords;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;
use TallCrow\Type\Letter;

require_once __DIR__.'/subjects.php';

/** @return array<string, mixed> words that lie turned about a point of the sheet, as all else that is turned about it */
function words_about(string $id, string $text, float $width, float $turn, array $more = []): array
{
    return Fixtures::words($id, $text, $width, array_replace_recursive(['placement' => ['turn' => $turn, 'flip' => 'none']], $more));
}

function group_of(string $id, array $layers): array
{
    return ['id' => $id, 'source' => ['kind' => 'group', 'layers' => $layers], 'effects' => []];
}

function share_gone(Finding $finding): float
{
    return (float) $finding->figure;
}

it('measures small words along their own lines, however they are turned', function (float $turn): void {
    $measured = fn (array $layer): array => SmallWords::measured(($artwork = Fixtures::artwork([$layer]))->layers[0], subject_of($artwork, 50)) ?? [0.0, 0.0];
    // Wide letters, so that their width tells nothing of their height.
    [$height, $stroke] = $measured(words_about('w', 'mmm', 1.2, 0));
    [$turned, $turnedStroke] = $measured(words_about('w', 'mmm', 1.2, $turn));
    expect($turned)->toEqualWithDelta($height, 0.001)->and($turnedStroke)->toEqualWithDelta($stroke, 0.001)
        ->and($height)->toBeLessThan(0.36)->toBeGreaterThan(0.15);
})->with([17.0, 45.0, 90.0, 180.0, -120.0]);

it('takes the height of letters on a circle from the letters', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'oooooooooooooooo', 2.5, ['effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'circle']]])]);
    $letters = Fixtures::renderer()->placer->place($artwork->layers[0])->letters ?? [];
    $heights = array_map(fn (Letter $letter): float => $letter->height(), $letters);
    expect($heights)->toHaveCount(16)->and(max($heights) / min($heights))->toBeLessThan(1.02);
});

it('tells how much of each letter is covered, the same when all of it is turned', function (float $turn): void {
    // A bar over the upper half of three wide letters, in another ink.
    $gone = function (float $turn): float {
        [$sin, $cos] = [sin(deg2rad($turn)), cos(deg2rad($turn))];
        $place = ['x' => 1.5 + $sin * 0.22, 'y' => 2 - $cos * 0.22, 'width' => 2.6, 'height' => 0.4, 'turn' => $turn, 'flip' => 'none'];

        return share_gone(gauged(new WornWords, Fixtures::artwork([words_about('w', 'MWM', 2, $turn), Fixtures::shape('bar', 'rectangle', 2.6, '#3f7f95', ['placement' => $place])]), 150)['word:w:0']);
    };
    expect($gone($turn))->toEqualWithDelta($gone(0.0), 2.0)->and($gone(0.0))->toBeBetween(15.0, 60.0);
})->with([30.0, 45.0, 90.0]);

it('counts the rim of words on another ink, and words that are printed weakly, as theirs', function (array $words): void {
    $ground = Fixtures::shape('ground', 'rectangle', 2.8, '#1f1d1a', ['placement' => ['width' => 2.8, 'height' => 3]]);
    foreach ([75.0, 100.0, 150.0] as $ppi) {
        expect(gauged(new WornWords, Fixtures::artwork([$ground, words_about('w', 'tide pool', 0.8, 20, $words)]), $ppi))->toBe([], "$ppi ppi");
    }
})->with([[[]], [['opacity' => 0.4]]]);

it('tells a stroke that is too thin for the print of a word that was cut, from a coarse picture, too', function (): void {
    // Eleven bars over a tall letter leave lines of 0.008 in of it between them.
    $bars = array_map(fn (int $i): array => Fixtures::shape("b$i", 'rectangle', 0.05, '#f3ead7', ['placement' => ['x' => 1.0 + $i * 0.058, 'y' => 2, 'width' => 0.05, 'height' => 3], 'role' => ['kind' => 'knockout', 'gap' => 0]]), range(0, 17));
    $artwork = Fixtures::artwork([words_about('w', 'H', 0.9, 0), ...$bars]);
    foreach ([150.0, 300.0] as $ppi) {
        preg_match('/([\d.]+) in$/', gauged(new WornWords, $artwork, $ppi)['word:w:0']->figure, $found);
        expect((float) $found[1])->toBeBetween(0.005, 0.0105);
    }
});

it('looks at the pieces of a group as at pieces of the sheet', function (): void {
    $slate = words_about('w', 'KITE', 2, 0, ['effects' => [['kind' => 'fill', 'colour' => '#3d4a57']]]);
    $plate = Fixtures::shape('p', 'rectangle', 2.8, '#f3ead7', ['placement' => ['y' => 3.2, 'width' => 2.8, 'height' => 1]]);
    $on = ['garments' => [['name' => 'Slate', 'colour' => '#3d4a57']]];
    $told = fn (array $layers): Finding => gauged(new VanishingInk, Fixtures::artwork($layers, $on))['vanish:Slate'];
    expect($told([$slate, $plate])->layers)->toBe(['w'])->and($told([$slate, $plate])->verdict)->toBe(Verdict::Fail)
        ->and($told([group_of('g', [group_of('h', [$slate]), $plate])])->layers)->toBe(['w'])->and($told([group_of('g', [group_of('h', [$slate]), $plate])])->verdict)->toBe(Verdict::Fail);
    // One that is bent or faded as a whole is looked at as a whole.
    expect($told([['opacity' => 0.9] + group_of('g', [$slate, $plate])])->layers)->toBe([]);
});

it('tells what is covered within a group and from without, and brings it up through all of its groups', function (): void {
    $words = words_about('w', 'KITE', 1, 0);
    $plate = Fixtures::shape('p', 'rectangle', 2, '#3f7f95', ['placement' => ['width' => 2, 'height' => 1]]);
    $top = Fixtures::shape('t', 'rectangle', 2, '#b04a2c', ['placement' => ['width' => 2, 'height' => 1]]);
    $artwork = Fixtures::artwork([group_of('g', [group_of('h', [$words, $plate])]), $top]);
    $found = gauged(new Covered, $artwork);
    expect(array_keys($found))->toBe(['covered:p', 'covered:w'])->and($found['covered:w']->verdict)->toBe(Verdict::Fail);
    $mended = Fixtures::edited($artwork, ...$found['covered:w']->mends[0]->operations);
    expect(gauged(new Covered, $mended))->not->toHaveKey('covered:w')
        ->and(array_map(fn ($layer): string => $layer->id, $mended->layers))->toBe(['t', 'g']);
});

it('tells of pieces that are laid twice or lie off the sheet in a group', function (): void {
    $plate = fn (string $id, float $x): array => Fixtures::shape($id, 'rectangle', 1, '#3f7f95', ['placement' => ['x' => $x, 'width' => 1, 'height' => 1]]);
    $artwork = Fixtures::artwork([group_of('g', [$plate('a', 1.5), $plate('b', 1.5), $plate('c', 8)])]);
    $subject = subject_of($artwork);
    $check = new NothingThere;
    $finding = $check->onSheet($check->picture($subject->picture)[0], $subject);
    expect($finding->layers)->toBe(['c', 'b'])->and($finding->figure)->toBe('2 of 3 pieces');
});

it('counts the pixels of a picture that are left of it once it is cropped', function (): void {
    $folder = Fixtures::temporary('cropped');
    ImageFile::writePng(Image::raw(str_repeat("\x80\x40\x20\xff", 600 * 400), 600, 400, 4), "$folder/map.png");
    $ppi = function (array $effects) use ($folder): ?float {
        $layer = ['id' => 'a', 'source' => ['kind' => 'art', 'file' => 'map.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 1, 'height' => null], 'effects' => $effects];

        return Fixtures::renderer(Fixtures::shelf($folder))->placer->effectivePpi(Fixtures::artwork([$layer])->layers[0]);
    };
    expect($ppi([]))->toEqualWithDelta(600, 0.5)
        ->and($ppi([['kind' => 'crop', 'left' => 0.25, 'right' => 0.25, 'top' => 0.25, 'bottom' => 0.25]]))->toEqualWithDelta(300, 0.5)
        ->and($ppi([['kind' => 'crop', 'left' => 0.5, 'right' => 0, 'top' => 0, 'bottom' => 0]]))->toEqualWithDelta(300, 0.5);
});

it('counts a picture in letters by what it covers: the words, or each letter', function (): void {
    $folder = Fixtures::temporary('in-letters');
    copy(Fixtures::assets().'/alfa-slab-one.woff2', "$folder/alfa-slab-one.woff2");
    ImageFile::writePng(Image::raw(str_repeat("\x80\x40\x20\xff", 300 * 300), 300, 300, 4), "$folder/sea.png");
    $figure = function (string $each, array $more = []) use ($folder): float {
        $words = words_about('w', 'HHHH', 2, 0, $more + ['effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'picture', 'file' => 'sea.png', 'each' => $each]]]);
        $artwork = Fixtures::artwork([$words]);
        $subject = new TallCrow\Preflight\SheetSubject($artwork, Fixtures::renderer(Fixtures::shelf($folder)), Fixtures::shelf($folder), $artwork->sheet->area(), picture_of(Image::empty(90, 120), 30, $artwork));

        return (float) (new EffectivePpi)->sheet($subject)[0]->figure;
    };
    $letter = max(array_map(fn (Letter $letter): float => max($letter->path->bounds()->width(), $letter->path->bounds()->height()), Fixtures::renderer()->placer->place(Fixtures::artwork([words_about('w', 'HHHH', 2, 0)])->layers[0])->letters ?? []));
    expect($figure('whole'))->toBe(150.0)->and($figure('each-letter'))->toBe(floor(300 / $letter))
        // Copies beside it show the picture as large.
        ->and($figure('whole', ['repeat' => ['kind' => 'mirror-across', 'x' => 3, 'y' => 2]]))->toBe(150.0);
});
