<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Asset\FolderShelf;
use TallCrow\Colour\Srgb;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Centred;
use TallCrow\Preflight\Collisions;
use TallCrow\Preflight\Covered;
use TallCrow\Preflight\EdgeInk;
use TallCrow\Preflight\EffectivePpi;
use TallCrow\Preflight\FineDetail;
use TallCrow\Preflight\Gamut;
use TallCrow\Preflight\HalftoneDots;
use TallCrow\Preflight\Haze;
use TallCrow\Preflight\InkCount;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\MethodFits;
use TallCrow\Preflight\NearlyAligned;
use TallCrow\Preflight\NothingThere;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\SheetSize;
use TallCrow\Preflight\SheetSubject;
use TallCrow\Preflight\SmallWords;
use TallCrow\Preflight\Thumbnail;
use TallCrow\Preflight\Unevenness;
use TallCrow\Preflight\VanishingInk;
use TallCrow\Preflight\Verdict;
use TallCrow\Preflight\VisualWeight;
use TallCrow\Preflight\WearShare;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

// Sheets and pictures just this side and just beyond each limit of a gauge. Limits that are our own choice are told as such beside them in the code.

it('takes ink at the edge for cut from a twentieth of its strength on, and says how much of it', function (int $level, Verdict $verdict): void {
    $alpha = Image::empty(300, 400, 1)->insert(Image::empty(75, 50, 1)->linearByte(1, $level), 0, 100);
    $finding = (new EdgeInk)->picture(picture_of(Image::flat(Srgb::of(9, 9, 9), $alpha)->settled(), 100))[0];
    expect($finding->verdict)->toBe($verdict)->and($finding->figure)->toBe($verdict === Verdict::Pass ? 'clear' : '0.50 in cut');
})->with([[12, Verdict::Pass], [13, Verdict::Fail], [23, Verdict::Fail], [255, Verdict::Fail]]);

it('brings pieces in until a twentieth of an inch is free, four at most', function (): void {
    $plates = array_map(fn (int $i): array => ink_slab("p$i", -0.1, 0.1 + 0.7 * $i, 0.5, 0.6 + 0.7 * $i), range(0, 4));
    $subject = subject_of(Fixtures::artwork($plates));
    $finding = (new EdgeInk)->onSheet((new EdgeInk)->picture($subject->picture)[0], $subject);
    expect($finding->layers)->toHaveCount(5)->and($finding->mends)->toHaveCount(4);
    $after = Fixtures::edited($subject->artwork, ...$finding->mends[0]->operations)->layer('p0');
    assert($after !== null);
    expect($subject->renderer->placer->box($after)?->left)->toEqualWithDelta(0.05, 1e-3);
});

it('sees a design off the middle from three hundredths of an inch on, up to half an inch, and none that is small', function (float $off, float $wide, Verdict $verdict): void {
    $finding = (new Centred)->picture(subject_of(Fixtures::artwork([ink_slab('p', 1.5 + $off - $wide / 2, 1, 1.5 + $off + $wide / 2, 2)]), 200)->picture)[0];
    expect($finding->verdict)->toBe($verdict)->and($finding->figure)->toBe(sprintf('%.2f in off', abs($off)));
})->with([
    [0.02, 2.0, Verdict::Pass], [0.04, 2.0, Verdict::Warn], [-0.04, 2.0, Verdict::Warn], [0.3, 2.0, Verdict::Warn], [0.45, 1.9, Verdict::Warn], [0.55, 1.8, Verdict::Pass],
    // Two fifths of a sheet of 3 in are 1.2 in.
    [0.2, 1.3, Verdict::Warn], [0.2, 1.1, Verdict::Pass],
]);

it('tells six pieces that are nearly in line, and no more', function (): void {
    // Each a hundredth of an inch and a fifth further from the middle than the one before.
    $plates = array_map(fn (int $i): array => Fixtures::shape("p$i", 'ellipse', 0.3 + 0.2 * ($i % 3), more: ['placement' => ['x' => 1.5 + 0.012 * $i, 'y' => 0.4 * $i, 'height' => 0.2]]), range(1, 7));
    expect(gauged(new NearlyAligned, Fixtures::artwork($plates)))->toHaveCount(6);
});

it('says on which side a piece is off, and its mend moves it the other way', function (array $one, array $other, string $says, string $mend): void {
    $sheet = Fixtures::artwork([ink_slab('a', ...$one), ink_slab('b', ...$other)]);
    $finding = gauged(new NearlyAligned, $sheet)['line:b'];
    expect($finding->says)->toContain($says)->and($finding->mends[0]->says)->toBe($mend)
        ->and(gauged(new NearlyAligned, Fixtures::edited($sheet, ...$finding->mends[0]->operations)))->toBe([]);
})->with([
    [[0.3, 0.6, 1.1, 1.4], [1.8, 0.83, 2.4, 1.23], '0.030 in below the middle of', 'Move it 0.030 in up'],
    [[0.3, 0.6, 1.1, 1.4], [1.8, 0.77, 2.4, 1.17], '0.030 in above the middle of', 'Move it 0.030 in down'],
    [[0.3, 0.6, 1.1, 1.4], [0.33, 2.0, 2.0, 2.4], '0.030 in right of the left edge of', 'Move it 0.030 in left'],
    [[0.3, 0.6, 1.1, 1.4], [0.27, 2.0, 2.0, 2.4], '0.030 in left of the left edge of', 'Move it 0.030 in right'],
]);

it('takes capitals and rings for slips that differ by one to seven in a hundred', function (float $ratio, bool $isSlip): void {
    $sheet = Fixtures::artwork([Fixtures::words('a', 'KITE', 1.0, ['placement' => ['y' => 1]]), Fixtures::words('b', 'KITE', $ratio, ['placement' => ['y' => 3]])]);
    $rings = Fixtures::artwork([ink_slab('a', 0.5, 0.5, 1, 1, more: ['effects' => [1 => ['kind' => 'outline', 'width' => 0.1, 'colour' => '#f3ead7']]]), ink_slab('b', 1.5, 0.5, 2, 1, more: ['effects' => [1 => ['kind' => 'outline', 'width' => 0.1 * $ratio, 'colour' => '#f3ead7']]])]);
    expect(count(gauged(new Unevenness, $sheet)))->toBe($isSlip ? 1 : 0)->and(count(gauged(new Unevenness, $rings)))->toBe($isSlip ? 1 : 0);
})->with([[0.996, false], [0.985, true], [0.94, true], [0.92, false]]);

it('takes two inks for one that differ by less than four in CIEDE2000', function (): void {
    $near = fn (string $one, string $other): int => count(gauged(new Unevenness, Fixtures::artwork([ink_slab('a', 0.5, 0.5, 1, 1, $one), ink_slab('b', 1.5, 0.5, 2, 1, $other)])));
    $far = fn (string $one, string $other): float => Srgb::hex($one)->toLab()->difference(Srgb::hex($other)->toLab());
    expect($far('#b04a2c', '#b5502c'))->toBeLessThan(4.0)->and($near('#b04a2c', '#b5502c'))->toBe(1)->and($near('#b04a2c', '#b04a2c'))->toBe(0)
        ->and($far('#b04a2c', '#b35a3c'))->toBeGreaterThan(4.0)->toBeLessThan(8.0)->and($near('#b04a2c', '#b35a3c'))->toBe(0);
});

it('takes a picture without more than a hint of ink for blank', function (int $level, Verdict $verdict): void {
    $alpha = Image::empty(100, 100, 1)->linearByte(1, $level);
    expect((new NothingThere)->picture(picture_of(Image::flat(Srgb::of(9, 9, 9), $alpha)->settled(), 100))[0]->verdict)->toBe($verdict);
})->with([[8, Verdict::Fail], [9, Verdict::Pass], [15, Verdict::Pass]]);

it('takes two like pieces for one laid twice that lie within a fiftieth of an inch', function (float $dx, float $dy, bool $isSame): void {
    $layers = Fixtures::artwork([ink_slab('a', 1, 1, 2, 2), ink_slab('b', 1, 1, 2, 2, more: ['placement' => ['x' => 1.5 + $dx, 'y' => 1.5 + $dy]])])->layers;
    expect(NothingThere::isSame($layers[0], $layers[1]))->toBe($isSame);
})->with([[0.0, 0.0, true], [0.019, -0.019, true], [0.021, 0.0, false], [0.0, 0.021, false], [0.035, 0.0, false]]);

it('counts inks by CIEDE2000 and their share, and calls more than eight of them tones', function (): void {
    $inks = ['#c00000', '#00c000', '#0000c0', '#c0c000', '#00c0c0', '#c000c0', '#101010', '#f0f0f0', '#808080'];
    $bars = fn (int $count): Artwork => Fixtures::artwork(array_map(fn (int $i): array => ink_slab("p$i", 0.3, 0.1 + 0.4 * $i, 2.7, 0.4 + 0.4 * $i, $inks[$i]), range(0, $count - 1)));
    $figure = fn (Artwork $artwork): string => gauged(new InkCount, $artwork)['inks']->figure;
    expect($figure($bars(3)))->toBe('3')->and($figure($bars(8)))->toBe('8')->and($figure($bars(9)))->toBe('tones');
    // 2.4 × 3 in of one ink are 18,000 points at 50 ppi; a speck of 0.24 in square has 144, 0.8 %, one of 0.12 in 36, 0.2 %.
    $speck = fn (float $side, string $colour): string => $figure(Fixtures::artwork([ink_slab('all', 0.3, 0.5, 2.7, 3.5, '#c00000'), ink_slab('speck', 1, 1, 1 + $side, 1 + $side, $colour)]));
    expect($speck(0.24, '#0000c0'))->toBe('2')->and($speck(0.12, '#0000c0'))->toBe('1')->and($speck(1.0, '#c81010'))->toBe('1')->and($speck(1.0, '#d04030'))->toBe('2');
});

it('refuses sublimation on cloth whose luminance is under 0.45', function (): void {
    // Relative luminance by sRGB: #b4b4b4 has 0.456, #b2b2b2 0.445.
    $figure = fn (string $cloth): string => gauged(new MethodFits, Fixtures::artwork([ink_slab('p', 1, 1, 2, 2)], ['method' => 'sublimation', 'garments' => [['name' => 'Cloth', 'colour' => $cloth]]]))['method']->figure;
    expect($figure('#b4b4b4'))->toBe('fits')->and($figure('#b2b2b2'))->toBe('1 dark cloth');
});

it('judges words by six tenths of their ink that are seen, and pieces by six hundredths', function (float $hidden, bool $areWords, bool $isFound): void {
    // What lies over it hides a share of a block of ink, or of a word as wide, from the left.
    $under = $areWords ? Fixtures::words('p', 'IIIIIIIIIIIIIIIIIIII', 2.4) : ink_slab('p', 0.3, 1.8, 2.7, 2.2);
    $over = ink_slab('over', 0.0, 1.0, 0.3 + 2.4 * $hidden, 3.0, '#b04a2c');
    expect(isset(gauged(new Covered, Fixtures::artwork([$under, $over]))['covered:p']))->toBe($isFound);
})->with([[0.35, true, false], [0.45, true, true], [0.90, false, false], [0.97, false, true]]);

it('judges no piece of less than three hundredths of a square inch by what is seen of it', function (): void {
    $found = fn (float $side): int => count(gauged(new Covered, Fixtures::artwork([ink_slab('p', 1, 1, 1 + $side, 1 + $side), ink_slab('over', 0.5, 0.5, 2, 2, '#b04a2c')])));
    expect($found(0.16))->toBe(0)->and($found(0.2))->toBe(1);
});

it('finds words on ink that is too like them, where six tenths about them are ink', function (): void {
    $words = Fixtures::words('w', 'MOTH', 1.6, ['effects' => [0 => ['colour' => '#b8482c']]]);
    $found = fn (string $ground, float $right): bool => isset(gauged(new Covered, Fixtures::artwork([ink_slab('ground', 0.5, 1.4, $right, 2.6, $ground), $words]))['sunk:w']);
    expect($found('#b04a2c', 2.5))->toBeTrue()->and($found('#f3ead7', 2.5))->toBeFalse()->and($found('#b04a2c', 1.2))->toBeFalse();
});

it('finds letters that lie in one another by a tenth of the smaller, beyond what the face does', function (float $spacing, bool $isFound): void {
    $found = gauged(new Collisions, Fixtures::artwork([Fixtures::words('w', 'HHHH', 2.4, ['effects' => [1 => ['kind' => 'letter-spacing', 'by' => $spacing]]])]));
    expect(isset($found['collide:w']))->toBe($isFound);
})->with([[0.0, false], [-60.0, false], [-300.0, true]]);

it('finds lines of words that lie in one another', function (float $leading, bool $isFound): void {
    $found = gauged(new Collisions, Fixtures::artwork([Fixtures::words('w', "HHHH\nHHHH", 2.0, ['source' => ['leading' => $leading]])]));
    expect(isset($found['collide:w']))->toBe($isFound);
})->with([[1.0, false], [0.8, false], [0.6, true]]);

it('takes words for weak beside others whose strokes are less than three tenths as thick, unless they are small print or no light letters', function (float $line, float $height, bool $isFound): void {
    // Hollow words weigh what their line weighs.
    $word = fn (string $id, float $line, float $height, float $y): array => ['id' => $id, 'source' => ['kind' => 'text', 'text' => 'HEM', 'font' => 'anton.woff2'], 'placement' => ['x' => 5, 'y' => $y, 'width' => null, 'height' => null, 'capitals' => $height], 'effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'hollow', 'width' => $line]]];
    $sheet = Fixtures::artwork([$word('a', 0.1, 2.0, 2), $word('b', 0.1, 2.0, 5), $word('c', $line, $height, 8)], ['sheet' => ['width' => 1000, 'height' => 1000, 'ppi' => 100]]);
    $found = gauged(new VisualWeight, $sheet, 50);
    expect($found !== [])->toBe($isFound);
    foreach ($found as $finding) {
        // Three tenths of a tenth of an inch.
        expect($finding->limit)->toBe('0.03 in');
    }
})->with([[0.034, 2.0, false], [0.027, 2.0, true], [0.015, 2.0, true], [0.018, 0.27, true], [0.018, 0.23, false], [0.027, 0.27, false]]);

it('sets small words larger only where the sheet has room for them', function (float $x, bool $hasRoom): void {
    // Small letters of a sheet of 3 in across, a third as high as direct-to-garment print holds.
    $sheet = Fixtures::artwork([Fixtures::words('w', 'by hand', 0.2, ['placement' => ['x' => $x, 'y' => 2]])]);
    $finding = gauged(new SmallWords, $sheet)['small'];
    $after = array_map(fn (Mend $mend): Verdict => gauged(new SmallWords, Fixtures::edited($sheet, ...$mend->operations))['small']->verdict, $finding->mends);
    expect($finding->verdict)->toBe(Verdict::Fail)->and($after)->toBe($hasRoom ? [Verdict::Pass] : []);
})->with([[1.5, true], [0.15, false], [2.85, false]]);

it('counts each piece that prints nothing of its own once, and names them all', function (): void {
    $beyond = ['placement' => ['x' => 9.0]];
    $plates = [Fixtures::shape('kept', 'star', 1), Fixtures::shape('far', 'ellipse', 0.5, more: $beyond), Fixtures::shape('farther', 'ellipse', 0.5, more: $beyond)];
    $subject = subject_of(Fixtures::artwork($plates));
    $finding = (new NothingThere)->onSheet((new NothingThere)->picture($subject->picture)[0], $subject);
    // The last lies off the sheet, on another there: two pieces in all.
    expect($finding->figure)->toBe('2 of 3 pieces')->and($finding->layers)->toBe(['far', 'farther'])->and($finding->mends)->toHaveCount(2)
        ->and(strtolower($finding->says))->toBe('ellipse, ellipse lie wholly off the sheet; ellipse lies on another piece that is just the same.');
});

it('says to the nearest hundredth how much of a piece is seen', function (): void {
    // Of 1 × 1 in a corner of 0.2 × 0.26 in.
    $found = gauged(new Covered, Fixtures::artwork([ink_slab('p', 1, 1, 2, 2), ink_slab('right', 1.2, 0.9, 2.1, 2.1, '#b04a2c'), ink_slab('below', 0.9, 1.26, 1.2, 2.1, '#b04a2c')]))['covered:p'];
    expect($found->figure)->toBe('5 % seen')->and($found->says)->toStartWith('95 % of ');
});

it('wants of a picture the ppi of the house, to a twentieth of one', function (float $ppi, Verdict $verdict): void {
    $pixels = Fixtures::shelf()->picture('rock-pool.png')->width;
    $sheet = Fixtures::artwork([['id' => 'pool', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $pixels / $ppi, 'height' => null]]]);
    expect(gauged(new EffectivePpi, $sheet)['ppi:pool']->verdict)->toBe($verdict);
})->with([[300.0, Verdict::Pass], [299.96, Verdict::Pass], [299.93, Verdict::Fail], [299.0, Verdict::Fail]]);

it('wants it of a picture that is seen through words, too, beside a drawing that has no pixels', function (): void {
    $pixels = Fixtures::shelf()->picture('rock-pool.png');
    $words = Fixtures::words('w', 'POOL', 4, ['effects' => [1 => ['kind' => 'picture', 'file' => 'crab.svg'], 2 => ['kind' => 'picture', 'file' => 'rock-pool.png', 'scale' => 2]]]);
    $sheet = Fixtures::artwork([$words]);
    $box = subject_of($sheet)->renderer->placer->box($sheet->layers[0]);
    // It covers the words, twice as large.
    $ppi = $pixels->width / 2 / max($box->width(), $box->height() / $pixels->aspect());
    $found = gauged(new EffectivePpi, $sheet);
    expect(array_keys($found))->toHaveCount(1)->and((float) array_values($found)[0]->figure)->toEqualWithDelta(floor($ppi), 0.5)->and(array_values($found)[0]->verdict)->toBe(Verdict::Fail);
});

it('says which way a design hangs, and which way its weight lies', function (float $right, string $hangs, string $weighs): void {
    // Of 2.4 in, and heavier at one end.
    $plates = [ink_slab('bar', 0.3 + $right, 1.9, 2.7 + $right, 2.1), ink_slab('end', $weighs === 'right' ? 2.2 + $right : 0.3 + $right, 1, $weighs === 'right' ? 2.7 + $right : 0.8 + $right, 3)];
    $finding = (new Centred)->picture(subject_of(Fixtures::artwork($plates))->picture)[0];
    expect($finding->says)->toContain("hangs 0.15 in to the $hangs of the middle")->toMatch('/its weight lies 0\.\d\d in to the '.$weighs.'\.$/');
})->with([[0.15, 'right', 'left'], [-0.15, 'left', 'right'], [0.15, 'right', 'right'], [-0.15, 'left', 'left']]);

it('says that the weight lies in the middle where it does', function (): void {
    expect((new Centred)->picture(subject_of(Fixtures::artwork([ink_slab('bar', 0.3, 1.9, 2.7, 2.1)]))->picture)[0]->says)->toContain('its weight in the middle.');
});

it('counts what lies on the sheet of a piece that reaches beyond it', function (array $edges, float $area): void {
    $artwork = Fixtures::artwork([ink_slab('p', ...$edges)]);
    $subject = subject_of($artwork);
    expect($subject->topmost(Frame::sheet($artwork->sheet, 100))->whole['p'] ?? 0)->toEqualWithDelta($area * 100 ** 2, 60);
})->with(['within' => [[1, 1, 2, 2], 1.0], 'beyond the foot' => [[1, 3.5, 2, 4.5], 0.5], 'beyond the right' => [[2.6, 1, 3.6, 2], 0.4], 'beyond both' => [[2.5, 3.5, 3.5, 4.5], 0.25], 'off' => [[4, 1, 5, 2], 0.0]]);

it('wants none of what is drawn anew from a picture', function (): void {
    $words = fn (array $more): array => Fixtures::words('w', 'POOL', 4, ['effects' => [1 => ['kind' => 'picture', 'file' => 'rock-pool.png', 'scale' => 2], ...$more]]);
    expect(gauged(new EffectivePpi, Fixtures::artwork([$words([])])))->toHaveCount(1)
        ->and(gauged(new EffectivePpi, Fixtures::artwork([$words([2 => ['kind' => 'halftone', 'lpi' => 25]])])))->toBe([]);
});

it('holds the dots of a screen against the method, and a cell against four pixels of the print', function (float $lpi, Verdict $verdict): void {
    $sheet = Fixtures::artwork([ink_slab('p', 1, 1, 2, 2, more: ['effects' => [1 => ['kind' => 'halftone', 'lpi' => $lpi]]])]);
    $dot = subject_of($sheet)->demands->method->dot;
    $finding = gauged(new HalftoneDots, $sheet)['dots:p'];
    // A round dot of that width fills π / 4 · (width · lpi)² of its cell: a quarter of it at √(1 / π) / width lines.
    expect($finding->verdict)->toBe($verdict)->and($verdict === Verdict::Pass)->toBe($lpi <= min(sqrt(1 / M_PI) / $dot, 300 / 4));
})->with([[35.0, Verdict::Pass], [45.0, Verdict::Pass], [76.0, Verdict::Warn], [100.0, Verdict::Warn]]);

it('sees more than three in a hundred of the ink beyond process inks', function (float $side, Verdict $verdict): void {
    // 2.4 × 2.4 in of earth and a square of pure green.
    $sheet = Fixtures::artwork([ink_slab('earth', 0.3, 0.5, 2.7, 2.9, '#8a5a3c'), ink_slab('green', 1, 1, 1 + $side, 1 + $side, '#00ff00')]);
    expect(gauged(new Gamut, $sheet)['gamut']->verdict)->toBe($verdict);
})->with([[0.38, Verdict::Pass], [0.46, Verdict::Warn], [0.55, Verdict::Warn]]);

it('wears less by its mend, to the share that it says', function (array $wear): void {
    $sheet = Fixtures::artwork([ink_slab('p', 0.3, 0.3, 2.7, 3.7)], ['distress' => $wear]);
    $finding = gauged(new WearShare, $sheet)['wear'];
    $after = gauged(new WearShare, Fixtures::edited($sheet, ...$finding->mends[0]->operations))['wear'];
    expect($finding->mends[0]->says)->toBe('Wear to 22 %')->and((float) $after->figure)->toEqualWithDelta(22.0, 1.0)->and($after->verdict)->toBe(Verdict::Pass);
})->with([
    'one line' => [[['texture' => 'speckle', 'amount' => 0.45, 'seed' => 3]]],
    'two lines' => [[['texture' => 'speckle', 'amount' => 0.2, 'seed' => 3], ['texture' => 'scratches', 'amount' => 0.15, 'seed' => 4]]],
]);

it('warns of ink that is lost on a cloth from two in a hundred on, and fails from a fifth', function (float $side, Verdict $verdict): void {
    // Ink of the cloth's own colour beside ink that stands out: a share of side² of 2.56 square inches.
    $sheet = Fixtures::artwork([ink_slab('bone', 0.2, 0.2, 1.8, 1.8), ink_slab('lost', 2.0, 2.5, 2.0 + $side, 2.5 + $side, '#3d4a57')], ['garments' => [['name' => 'Slate', 'colour' => '#3d4a57']]]);
    $finding = (new VanishingInk)->picture(subject_of($sheet)->picture)[0];
    expect($finding->verdict)->toBe($verdict);
})->with([[0.2, Verdict::Pass], [0.28, Verdict::Warn], [0.7, Verdict::Warn], [0.9, Verdict::Fail]]);

it('prints words that are lost on a cloth in the colour that stands out most, or edges them in it, and leaves a cloth out only where another loses less', function (): void {
    $words = fn (array $more): array => Fixtures::words('w', 'KITE', 2.2, ['placement' => ['y' => 3], 'effects' => [['kind' => 'fill', 'colour' => '#3d4a57'], ...$more]]);
    $mends = function (array $layer, array ...$garments): array {
        $sheet = Fixtures::artwork([ink_slab('bone', 0.2, 0.2, 1.8, 1.8), $layer], ['garments' => $garments]);
        $found = gauged(new VanishingInk, $sheet)['vanish:Slate'];
        $after = array_map(fn (Mend $mend): Verdict => gauged(new VanishingInk, Fixtures::edited($sheet, ...$mend->operations))['vanish:Slate']->verdict ?? Verdict::Pass, $found->mends);

        return [$found->verdict, array_map(fn (Mend $mend): string => $mend->says, $found->mends), array_values(array_unique(array_map(fn (Verdict $verdict): string => $verdict->value, $after)))];
    };
    $slate = ['name' => 'Slate', 'colour' => '#3d4a57'];
    // By WCAG 2.2, bone has 7.6 : 1 to slate and gold 4.0 : 1.
    expect($mends($words([]), $slate))->toBe([Verdict::Fail, ['Print KITE in #f3ead7', 'Edge KITE in #f3ead7'], ['pass']])
        // What letters are filled with otherwise is not a colour to change.
        ->and($mends($words([['kind' => 'hollow', 'width' => 0.06, 'colour' => '#3d4a57']]), $slate)[1])->toBe(['Edge KITE in #f3ead7'])
        ->and($mends($words([]), $slate, ['name' => 'Ink', 'colour' => '#17181a'])[1])->toContain('Leave Slate out');
});

it('warns of wear from a quarter of the ink on, and fails from half of it', function (float $amount, Verdict $verdict): void {
    $sheet = Fixtures::artwork([ink_slab('p', 0.3, 0.3, 2.7, 3.7)], ['distress' => [['texture' => 'speckle', 'amount' => $amount, 'seed' => 3]]]);
    expect(gauged(new WearShare, $sheet)['wear']->verdict)->toBe($verdict);
})->with([[0.2, Verdict::Pass], [0.3, Verdict::Warn], [0.45, Verdict::Warn], [0.55, Verdict::Fail]]);

it('tells what lines of wear ask for together, each of what those before it left, and of a piece only what reaches it', function (): void {
    $wear = fn (float $amount, array $more = []): array => ['texture' => 'speckle', 'amount' => $amount, 'seed' => 3, ...$more];
    $sheet = Fixtures::artwork([ink_slab('a', 0.3, 0.3, 2.7, 1.7, more: ['distress' => [$wear(0.1)]]), ink_slab('b', 0.3, 2.3, 2.7, 3.7)], ['distress' => [$wear(0.2), $wear(0.15, ['shielded' => ['a']]), $wear(0.3, ['on' => false])]]);
    $asks = array_map(fn ($finding): string => explode('ask for ', $finding->says)[1] ?? '', gauged(new WearShare, $sheet));
    // 1 − 0.8 · 0.85 of all; 1 − 0.9 · 0.8 of the first, and of the second as of all.
    expect($asks)->toBe(['wear' => '32.0 %.', 'wear:a' => '28.0 %.', 'wear:b' => '32.0 %.']);
});

it('makes weak letters bolder by as much as leaves their counters open, and else larger', function (string $letter, float $height, string $says): void {
    $word = fn (string $id, string $text, float $line, float $height, float $y): array => ['id' => $id, 'source' => ['kind' => 'text', 'text' => $text, 'font' => 'anton.woff2'], 'placement' => ['x' => 5, 'y' => $y, 'width' => null, 'height' => null, 'capitals' => $height], 'effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'hollow', 'width' => $line]]];
    $sheet = Fixtures::artwork([$word('a', 'HEM', 0.1, 2.0, 2), $word('b', 'HEM', 0.1, 2.0, 5), $word('c', $letter, 0.018, $height, 8)], ['sheet' => ['width' => 1000, 'height' => 1000, 'ppi' => 100]]);
    // Half of 0.1 in would be even with the others: 0.016 in on either side of a line of 0.018. The counters of B are a twelfth of its height wide.
    expect(array_map(fn (Mend $mend): string => $mend->says, gauged(new VisualWeight, $sheet, 50)['weight:c']->mends))->toBe([$says]);
})->with([['H', 0.31, 'Embolden H by 0.016 in'], ['B', 0.31, 'Set B 72 % larger'], ['B', 0.5, 'Embolden B by 0.010 in'], ['B', 0.8, 'Embolden B by 0.016 in'], ['HEM', 0.8, 'Embolden HEM by 0.013 in']]);

it('tells of each piece that fades what makes it fade, and mends that', function (): void {
    $faded = fn (string $id, float $top, array $more): array => ink_slab($id, 0.4, $top, 2.6, $top + 1, more: ['name' => $id, ...$more]);
    $sheet = Fixtures::artwork([$faded('pale', 0.2, ['opacity' => 0.5]), $faded('masked', 1.5, ['masks' => [['kind' => 'ellipse', 'feather' => 0.5]]]), $faded('glowing', 2.8, ['effects' => [1 => ['kind' => 'airbrushed']]])], ['garments' => [['name' => 'Ink', 'colour' => '#17181a']]]);
    [$subject, $gauge] = [subject_of($sheet), new Haze];
    $haze = $gauge->onSheet($gauge->picture($subject->picture)[0], $subject);
    expect($haze->says)->toEndWith('It comes of pale (printed at 50 %), masked (a soft mask), glowing (a soft look).')->and($haze->layers)->toBe(['pale', 'masked', 'glowing'])
        ->and(array_map(fn (Mend $mend): string => $mend->says, $haze->mends))->toBe(['Print the fade of pale as halftone', 'Print the fade of masked as halftone', 'Print pale at full strength', 'Give masked a hard mask']);
});

it('tells whose the fine lines and the scraps are, and tidies scraps away', function (): void {
    // A frame of 0.006 in, a plate, and specks of 0.011 in.
    $specks = array_map(fn (int $i): array => ink_slab("speck$i", 0.4 + $i * 0.1, 3.8, 0.411 + $i * 0.1, 3.811), range(0, 19));
    $sheet = Fixtures::artwork([ink_slab('frame', 0.3, 0.3, 2.7, 1.7, more: ['effects' => [1 => ['kind' => 'hollow', 'width' => 0.006, 'colour' => '#f3ead7']]]), ink_slab('plate', 0.3, 2, 2.7, 3), ['id' => 'specks', 'source' => ['kind' => 'group', 'layers' => $specks]]]);
    $found = gauged(new FineDetail, $sheet, 150);
    expect($found['line-fine']->verdict)->not->toBe(Verdict::Pass)->and($found['line-fine']->layers)->toBe(['frame'])
        ->and($found['scraps']->verdict)->not->toBe(Verdict::Pass)->and($found['scraps']->layers)->toBe(['specks'])
        ->and(array_map(fn (Mend $mend): string => $mend->says, $found['scraps']->mends))->toBe(['Tidy '.$sheet->layer('specks')->called()]);
});

it('counts of a piece that is knocked out only what is left of it', function (string $texture, float $ppi): void {
    // Alone on the sheet, what is worn of the plate is what is worn of all.
    $knocked = ink_slab('hole', 1.0, 1.2, 2.0, 2.2, more: ['role' => ['kind' => 'knockout', 'gap' => 0.05]]);
    $found = gauged(new WearShare, Fixtures::artwork([ink_slab('plate', 0.7, 0.9, 2.6, 2.5), $knocked], ['distress' => [['texture' => $texture, 'amount' => 0.3, 'seed' => 3]]]), $ppi);
    expect((float) $found['wear:plate']->figure)->toEqualWithDelta((float) $found['wear']->figure, 1.0)->and((float) $found['wear']->figure)->toEqualWithDelta(30, 3.0);
})->with([['chipped-edges', 100], ['chipped-edges', 150], ['speckle', 100]]);

it('tells of a sheet of too few pixels to the inch what its rule asks for, and refits it to the area', function (): void {
    $sheet = Fixtures::artwork([ink_slab('p', 0.5, 0.5, 2.5, 3)], ['sheet' => ['width' => 599, 'height' => 800, 'ppi' => 199.7]]);
    $found = Preflight::artwork($sheet, Fixtures::renderer(), Fixtures::shelf(), closely: false)->finding('sheet');
    expect($found->verdict)->toBe(Verdict::Fail)->and($found->figure)->toEndWith('199.7 ppi')->and($found->says)->toBe('The sheet has 199.7 ppi; the rule "strict 300" asks for 300.');
    $other = new SheetSubject($sheet, Fixtures::renderer(), Fixtures::shelf(), PrintArea::pixels('chest', 900, 1200, Ppi::of(300)), subject_of($sheet)->picture);
    expect((new SheetSize)->sheet($other)[0]->mends[0]->says)->toBe('Refit to 900 × 1200 px');
});

it('leaves no cloth out where as much is lost on the other', function (): void {
    $sheet = Fixtures::artwork([ink_slab('p', 0.5, 0.5, 2.5, 3, '#3d4a57')], ['garments' => [['name' => 'Slate', 'colour' => '#3d4a57'], ['name' => 'Slate, heavy', 'colour' => '#3d4a57']]]);
    $found = gauged(new VanishingInk, $sheet)['vanish:Slate'];
    expect($found->verdict)->toBe(Verdict::Fail)->and(array_filter($found->mends, fn (Mend $mend): bool => str_starts_with($mend->says, 'Leave')))->toBe([]);
});

it('names the colours of words that sink in the ink about them as they are', function (): void {
    $sheet = Fixtures::artwork([ink_slab('plate', 0.2, 0.5, 2.8, 3.5, '#2a2420'), Fixtures::words('w', 'KITE', 2.2, ['effects' => [['kind' => 'fill', 'colour' => '#332a26']]])], ['sheet' => ['width' => 1500, 'height' => 2000, 'ppi' => 500]]);
    expect(gauged(new Covered, $sheet)['sunk:w']->says)->toStartWith('KITE is #332a26 on #2a2420');
});

it('counts the words that read in a listing at 200 px and at 120', function (float $capitals, string $figure): void {
    $sheet = Fixtures::artwork([ink_slab('plate', 0.1, 2, 2.9, 3.9), ['id' => 'w', 'source' => ['kind' => 'text', 'text' => 'HEM', 'font' => 'anton.woff2'], 'placement' => ['x' => 1.5, 'y' => 1, 'width' => null, 'height' => null, 'capitals' => $capitals], 'effects' => [['kind' => 'fill', 'colour' => '#f3ead7']]]], ['garments' => [['name' => 'Ink', 'colour' => '#17181a']]]);
    // Six of 200 pixels across 3 in are 0.09 in, six of 120 are 0.15 in.
    expect(gauged(new Thumbnail, $sheet)['thumbnail']->figure)->toBe($figure);
})->with([[0.08, '0 and 0 of 1 read'], [0.12, '1 and 0 of 1 read'], [0.17, '1 and 1 of 1 read']]);

it('says what is left of a background: parts that are enclosed, or a rim', function (string $case, string $says): void {
    $sheet = json_decode((string) file_get_contents((glob(__DIR__."/trial/*-$case.json") ?: [''])[0]), true, flags: JSON_THROW_ON_ERROR);
    $shelf = new FolderShelf(__DIR__.'/trial');
    $report = Preflight::artwork(ArtworkReader::data($sheet['sheet']), Fixtures::renderer($shelf), $shelf, closely: false);
    $found = array_values(array_filter($report->findings, fn ($finding): bool => str_starts_with($finding->key, 'background:')));
    expect($found[0]->says)->toContain($says)->and($found[0]->verdict)->toBe(Verdict::Warn)->and(substr_count($found[0]->says, ' left'))->toBe(1);
})->with([['halo', 'a rim of its background ('], ['pockets', 'of its background are left']]);

it('finds a small letter in a large one, however little of that it covers', function (float $leading, bool $isFound): void {
    $found = gauged(new Collisions, Fixtures::artwork([Fixtures::words('w', "H\no", 2.0, ['source' => ['leading' => $leading, 'align' => 'left'], 'effects' => [1 => ['kind' => 'line', 'number' => 2, 'size' => 0.15]]])]));
    expect(isset($found['collide:w']))->toBe($isFound);
})->with([[1.0, false], [0.3, true]]);

it('counts the pairs of letters that run together', function (string $text, string $says): void {
    $found = gauged(new Collisions, Fixtures::artwork([Fixtures::words('w', $text, 2.4, ['effects' => [1 => ['kind' => 'letter-spacing', 'by' => -300]]])]));
    expect($found['collide:w']->says)->toStartWith($says)->toEndWith('give the letters more room.');
})->with([['HH', '1 pair of letters of HH lies in one another, up to '], ['HHHH', '3 pairs of letters of HHHH lie in one another, up to ']]);
