<?php

declare(strict_types=1);

use TallCrow\Artwork\Garment;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\SetOpacity;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Group;
use TallCrow\Preflight\HalftoneDots;
use TallCrow\Preflight\Haze;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\PictureSubject;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Preflight\Topmost;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Raster\SoftProof;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

it('judges by two limits, either way up', function (): void {
    expect(Verdict::atMost(0.0, 0.02, 0.2))->toBe(Verdict::Pass)
        ->and(Verdict::atMost(0.02, 0.02, 0.2))->toBe(Verdict::Pass)
        ->and(Verdict::atMost(0.021, 0.02, 0.2))->toBe(Verdict::Warn)
        ->and(Verdict::atMost(0.21, 0.02, 0.2))->toBe(Verdict::Fail)
        ->and(Verdict::Pass->worst(Verdict::Warn))->toBe(Verdict::Warn)
        ->and(Verdict::Fail->worst(Verdict::Warn))->toBe(Verdict::Fail);
});

it('is as good as its worst finding', function (): void {
    $finding = fn (string $key, Verdict $v): Finding => Finding::of(Group::Wear, $key, 'word', $v, '1', '2', 'says')->mendedBy(Mend::by('do it', new SetOpacity('w', 1.0)));
    $report = new Report([$finding('one', Verdict::Pass), $finding('two', Verdict::Warn)]);
    expect($report->verdict())->toBe(Verdict::Warn)
        ->and((new Report([]))->verdict())->toBe(Verdict::Pass)
        ->and($report->finding('two')?->verdict)->toBe(Verdict::Warn)
        ->and($report->finding('three'))->toBeNull()
        ->and($report->toArray()['findings'][1])->toMatchArray(['key' => 'two', 'group' => 'wear', 'verdict' => 'warn', 'mends' => [['says' => 'do it', 'operations' => [['op' => 'set-opacity', 'id' => 'w', 'opacity' => 1.0]]]], 'where' => []]);
});

it('says where in half-inch squares, the fullest first', function (): void {
    // A mask of 3 × 4 in at 100 ppi with a full square inch at (1, 2) and a faint line at (0.2, 0.2).
    $mask = Image::raw(str_repeat("\xff", 100 * 100), 100, 100, 1)->embed(100, 200, 300, 400)
        ->lighter(Image::raw(str_repeat("\xff", 30), 30, 1, 1)->embed(10, 20, 300, 400));
    $subject = new PictureSubject(Image::empty(300, 400), 100.0, [], HouseRule::Strict300, PrintArea::pixels('', 300, 400, Ppi::of(100)));
    $where = $subject->where($mask);
    expect(count($where))->toBe(5);
    foreach (array_slice($where, 0, 4) as $box) {
        expect($box->left)->toBeGreaterThan(0.99)->and($box->right)->toBeLessThan(2.01)->and($box->top)->toBeGreaterThan(1.99);
    }
    expect($where[4]->left)->toBe(0.0)->and($subject->where($mask, 2))->toHaveCount(2);
});

it('checks a finished picture without knowing its artwork', function (): void {
    $folder = Fixtures::temporary('finished');
    Fixtures::run(['convert', '-size', '900x1200', 'xc:none', '-fill', '#3d4a57', '-draw', 'rectangle 100,100 500,500', '-fill', '#f3ead7', '-draw', 'rectangle 100,600 500,1000', "PNG32:$folder/p.png"]);
    $picture = ImageFile::read(TallCrow\Raster\PictureType::Png, "$folder/p.png")->asInk()->settled();
    $report = Preflight::picture($picture, 300.0, [new Garment('Slate', Srgb::hex('#3d4a57'))], HouseRule::Strict300);
    expect(array_map(fn (Finding $f): string => $f->key, $report->findings))->toBe(['blank', 'sheet', 'edge', 'background', 'haze', 'vanish:Slate', 'scraps', 'line-fine', 'gap-fine', 'centre'])
        ->and((float) $report->finding('vanish:Slate')?->figure)->toEqualWithDelta(50.0, 0.5)
        ->and($report->finding('vanish:Slate')?->mends)->toBe([])
        ->and($report->finding('edge')?->verdict)->toBe(Verdict::Pass);
});

it('counts greys that lie just this side and just beyond the contrast that is asked', function (): void {
    $cloth = Srgb::hex('#808080');
    $at = function (float $contrast) use ($cloth): Srgb {
        // The grey whose contrast with the cloth (WCAG 2.2) is the nearest to the one asked.
        $best = $cloth;
        for ($v = 128; $v < 256; $v++) {
            $grey = Srgb::of($v, $v, $v);
            if (abs(Contrast::ratio($grey, $cloth) - $contrast) < abs(Contrast::ratio($best, $cloth) - $contrast)) {
                $best = $grey;
            }
        }

        return $best;
    };
    $lost = function (Srgb $ink) use ($cloth): float {
        $flat = Image::flat($ink, Image::raw(str_repeat("\xff", 300 * 300), 300, 300, 1))->settled();

        return (float) Preflight::picture($flat, 300, [new Garment('Grey', $cloth)], HouseRule::Strict300)->finding('vanish:Grey')?->figure;
    };
    expect($lost($at(1.35)))->toBe(100.0)->and($lost($at(1.58)))->toBe(0.0)
        // As light as the cloth, and of quite another colour.
        ->and($lost(Srgb::hex('#d0503a')))->toBe(0.0);
});

it('holds the share of haze against half and three in a hundred', function (int $side, int $level, Verdict $verdict): void {
    // A block of weaker ink in a plate of 1000 × 1000: its outermost pixels touch full ink and do not count.
    $alpha = Image::empty(1000, 1000, 1)->inverted()->insert(Image::empty($side + 2, $side + 2, 1)->linearByte(1, $level), 300, 300);
    $plate = Image::flat(Srgb::of(20, 30, 40), $alpha)->settled();
    $area = PrintArea::pixels('plate', 1000, 1000, Ppi::of(300));
    $finding = (new Haze)->picture(new PictureSubject($plate, 300, [], HouseRule::Strict300, $area))[0];
    expect($finding->verdict)->toBe($verdict);
})->with([
    'just under half' => [69, 128, Verdict::Pass], 'just over half' => [72, 128, Verdict::Warn], 'just under three' => [172, 128, Verdict::Warn], 'just over three' => [175, 128, Verdict::Fail],
    'nearly clear' => [300, 8, Verdict::Pass], 'a little above clear' => [300, 10, Verdict::Fail], 'nearly full' => [300, 247, Verdict::Pass], 'a little below full' => [300, 245, Verdict::Fail],
]);

it('finds what is off by more than is not seen and less than is meant', function (float $off, bool $found): void {
    $sheet = Fixtures::artwork([Fixtures::shape('one', 'rectangle', 1), Fixtures::shape('two', 'ellipse', 0.4, more: ['placement' => ['x' => 1.5 + $off, 'y' => 3.4]])]);
    $keys = array_map(fn (Finding $f): string => $f->key, Preflight::artwork($sheet, Fixtures::renderer(), Fixtures::shelf())->findings);
    expect(in_array('line:two', $keys, true))->toBe($found);
})->with([
    'not seen' => [0.005, false], 'just seen' => [0.0075, true], 'most that is chance' => [0.088, true], 'least that is meant' => [0.095, false],
    'not seen, to the left' => [-0.005, false], 'just seen, to the left' => [-0.0075, true], 'meant, to the left' => [-0.095, false],
]);

it('sees glaring colours fade in process inks, and leaves earth and grey alone', function (): void {
    $off = fn (string ...$hex): array => array_map(fn (Srgb $colour, Srgb $printed): float => $colour->toLab()->difference($printed->toLab()), $colours = array_map(Srgb::hex(...), array_values($hex)), SoftProof::of($colours));
    // Primaries of sRGB lie beyond the inks of coated paper, greens and blues by most; neutrals and earth within (common knowledge of prepress, from memory).
    [$green, $blue] = $off('#00ff00', '#0000ff');
    [$bone, $rust, $grey, $white] = $off('#f3ead7', '#b04a2c', '#808080', '#ffffff');
    expect($green)->toBeGreaterThan(12)->and($blue)->toBeGreaterThan(12)
        ->and(max($bone, $rust, $grey, $white))->toBeLessThan(4.0)
        ->and(SoftProof::of([]))->toBe([]);
});

it('finds the lightest tone of a screen by the area of a round dot', function (): void {
    // At 50 lines a dot of 0.01 in fills π / 4 · 0.5² of its cell: 19.6 %.
    expect(HalftoneDots::smallest(50.0, 0.01))->toEqualWithDelta(0.19635, 1e-5)
        ->and(HalftoneDots::smallest(25.0, 0.01))->toEqualWithDelta(0.19635 / 4, 1e-5);
});

it('counts which piece is seen where: its own pixels less what lies over it', function (): void {
    $artwork = Fixtures::artwork([Fixtures::shape('under', 'rectangle', 2.0, '#b04a2c', ['placement' => ['height' => 2.0]]), Fixtures::shape('over', 'rectangle', 1.0, '#f3ead7', ['placement' => ['height' => 2.0]])]);
    $compositor = Fixtures::renderer()->compositor(artwork: $artwork);
    $top = Topmost::of($artwork->layers, Frame::sheet($artwork->sheet, 50), fn (Layer $layer, Frame $frame) => $compositor->piece($layer, $frame));
    // At 50 ppi 2 × 2 in are 10,000 pixels, half of which lie under 1 × 2 in.
    expect($top->ids)->toBe(['under', 'over'])->and($top->whole)->toBe(['under' => 10_000, 'over' => 5_000])
        ->and($top->counted())->toBe(['under' => 5_000, 'over' => 5_000])
        ->and($top->seen('under')->area())->toBe(5_000.0)
        ->and($top->counted($top->seen('over')))->toBe(['under' => 0, 'over' => 5_000])
        ->and($top->fits(Image::empty(150, 200, 1)))->toBeTrue()->and($top->fits(Image::empty(149, 200, 1)))->toBeFalse();
});
