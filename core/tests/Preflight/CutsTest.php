<?php

declare(strict_types=1);

use TallCrow\Edit\Operations;
use TallCrow\Preflight\FlatCuts;
use TallCrow\Preflight\Mend;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

// Where a picture ends in a straight line with its file, and what explains that. Limits are our own choice.

/** The folder of the pictures, made once for all tests. */
function cuts_folder(): string
{
    static $folder = null;
    if ($folder !== null) {
        return $folder;
    }
    $folder = Fixtures::temporary('cuts');
    // A hill that stands on the lower side of its file, on two thirds of it, and touches no other.
    Fixtures::run(['convert', '-size', '300x300', 'xc:none', '-fill', '#b04a2c', '-draw', 'ellipse 150,200 120,180 0,360', "$folder/hill.png"]);
    Fixtures::run(['convert', '-size', '300x300', 'xc:none', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,60', "$folder/corner.png"]);
    Fixtures::run(['convert', '-size', '300x300', 'xc:#b04a2c', "$folder/tile.png"]);
    Fixtures::run(['convert', '-size', '300x300', 'xc:none', '-fill', '#b04a2c', '-draw', 'circle 150,150 150,20', "$folder/moon.png"]);
    file_put_contents("$folder/hill.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 300 300"><ellipse cx="150" cy="200" rx="120" ry="180" fill="#b04a2c"/></svg>');

    return $folder;
}

beforeEach(function (): void {
    $this->folder = cuts_folder();
});

/** @return array<string, mixed> a piece of one inch, in the middle of the sheet */
function hill(array $placement = [], array $more = [], string $file = 'hill.png'): array
{
    return array_replace_recursive(['id' => 'p', 'name' => 'Hill', 'source' => ['kind' => 'art', 'file' => $file, 'frame' => 'file'], 'placement' => $placement + ['x' => 1.5, 'y' => 2, 'width' => 1.0, 'height' => null]], $more);
}

it('names the sides on which a picture ends with its file, as it lies on the sheet', function (string $file, array $placement, ?string $sides): void {
    expect((gauged_from($this->folder, new FlatCuts, [hill($placement, [], $file)])['cut:p'] ?? null)?->figure)->toBe($sides);
})->with([
    'upright' => ['hill.png', [], 'bottom'],
    'turned, by its own sides' => ['hill.png', ['turn' => 30], 'bottom'],
    'on its head' => ['hill.png', ['flip' => 'down'], 'top'],
    'mirrored' => ['hill.png', ['flip' => 'across'], 'bottom'],
    'two' => ['corner.png', [], 'right, bottom'],
    'two, mirrored' => ['corner.png', ['flip' => 'across'], 'left, bottom'],
    'none' => ['moon.png', [], null],
    'all, which is told as a block' => ['tile.png', [], null],
    'a drawing, which may end as it likes' => ['hill.svg', [], null],
]);

it('asks nothing of a picture whose edge a mask shapes, or that is off or knocked out', function (array $more): void {
    expect(gauged_from($this->folder, new FlatCuts, [hill([], $more)]))->toBe([]);
})->with([[['masks' => [['kind' => 'ellipse']]]], [['on' => false]], [['role' => ['kind' => 'knockout', 'gap' => 0]]]]);

it('offers to carry one side on, and for two only what shapes the edge', function (string $file, array $says): void {
    $found = gauged_from($this->folder, new FlatCuts, [hill([], [], $file)])['cut:p'];
    expect(array_map(fn (Mend $mend): string => $mend->says, $found->mends))->toBe($says)->and($found->where[0]->width())->toEqualWithDelta(1.0, 0.02);
})->with([
    ['hill.png', ['Tear its edge off raggedly', 'Fade its edge in a soft oval of dots', 'Carry it on by its mirror picture', 'Stand it on a bar']],
    ['corner.png', ['Tear its edge off raggedly', 'Fade its edge in a soft oval of dots']],
]);

it('takes a cut for meant from a seventh of an inch of the sheet\'s edge on', function (float $turn, float $free, bool $isFound): void {
    // The side that is cut lies so far from the edge it is turned to.
    [$x, $y] = match ($turn) {
        0.0 => [1.5, 4 - $free - 0.5],
        90.0 => [$free + 0.5, 2.0],
        180.0 => [1.5, $free + 0.5],
        default => [3 - $free - 0.5, 2.0],
    };
    expect(isset(gauged_from($this->folder, new FlatCuts, [hill(['x' => $x, 'y' => $y, 'turn' => $turn])])['cut:p']))->toBe($isFound);
})->with([0.0, 90.0, 180.0, 270.0])->with([[0.13, false], [0.15, true]]);

it('takes a cut for meant that another piece covers for three fifths, or that one goes on beyond for four', function (array $plate, bool $isFound, array $more = []): void {
    // The cut lies from 1 to 2 in across, at 2.5 in down.
    expect(isset(gauged_from($this->folder, new FlatCuts, [hill(), ink_slab('plate', ...[...$plate, '#f3ead7', $more])])['cut:p']))->toBe($isFound);
})->with([
    'covered' => [[0.8, 2.2, 2.2, 2.8], false],
    'covered for half' => [[0.8, 2.2, 1.55, 2.8], true],
    'covered for two thirds' => [[0.8, 2.2, 1.65, 2.8], false],
    'carried' => [[0.8, 2.5, 2.2, 2.8], false],
    'carried for three quarters' => [[0.8, 2.5, 1.75, 2.8], true],
    'carried for nine tenths' => [[0.8, 2.5, 1.9, 2.8], false],
    'beyond a gap' => [[0.8, 2.56, 2.2, 2.8], true],
    'by what is off' => [[0.8, 2.2, 2.2, 2.8], true, ['on' => false]],
    'by what takes ink away' => [[0.8, 2.2, 2.2, 2.8], true, ['role' => ['kind' => 'knockout', 'gap' => 0]]],
]);

it('looks for what covers a cut where it lies once the piece is turned', function (float $away, bool $isFound): void {
    // Turned by 45°, the middle of the cut lies half an inch from the piece's middle, down to the left.
    $by = (0.5 + $away) * M_SQRT1_2;
    $plate = ink_slab('plate', 0.8 - $by, 1.85 + $by, 2.2 - $by, 2.15 + $by, more: ['placement' => ['turn' => 45]]);
    expect(isset(gauged_from($this->folder, new FlatCuts, [hill(['turn' => 45]), $plate])['cut:p']))->toBe($isFound);
})->with([[0.0, false], [0.35, true], [-0.35, true]]);

it('tears an edge off by no more than a sixth of the piece, and three tenths of an inch', function (float $size, float $depth): void {
    $found = gauged_from($this->folder, new FlatCuts, [hill(['width' => $size])])['cut:p'];
    $before = Fixtures::artwork([hill(['width' => $size])]);
    $placer = Fixtures::renderer(Fixtures::shelf($this->folder))->placer;
    $after = Operations::apply($found->mends[0]->operations, $before, $placer)->artwork;
    $rows = function ($artwork): array {
        $alpha = Fixtures::render($artwork, 100, $this->folder)->alpha();

        // The lowest inked row of each column about the middle.
        return array_map(function (int $x) use ($alpha): int {
            $column = array_values((array) unpack('C*', $alpha->crop($x, 0, 1, $alpha->height())->toBytes()));

            return (int) max(array_keys(array_filter($column, fn (int $level): bool => $level > 127)));
        }, range(130, 170));
    };
    $cut = max($rows($before));
    $taken = array_map(fn (int $row): float => ($cut - $row) / 100, $rows($after));
    // From a quarter of the depth in, and swinging; the top of the hill stays.
    expect(min($taken))->toBeGreaterThanOrEqual(0.25 * $depth - 0.02)->and(max($taken))->toBeLessThanOrEqual(1.25 * $depth + 0.02)->toBeGreaterThan(min($taken) + 0.1 * $depth)
        ->and(Fixtures::render($after, 100, $this->folder)->alpha()->crop(0, 0, 300, 190)->mean())->toBe(Fixtures::render($before, 100, $this->folder)->alpha()->crop(0, 0, 300, 190)->mean());
})->with([[1.0, 0.16], [1.6, 0.256], [2.6, 0.3]]);

it('fades an edge in an oval and in dots, as its second mend says', function (): void {
    $found = gauged_from($this->folder, new FlatCuts, [hill()])['cut:p'];
    $after = Operations::apply($found->mends[1]->operations, Fixtures::artwork([hill()]), Fixtures::renderer(Fixtures::shelf($this->folder))->placer)->artwork;
    $alpha = Fixtures::render($after, 300, $this->folder)->alpha();
    // Less than half of the ink is left at the cut, and all of it in the middle.
    expect($alpha->crop(350, 740, 200, 10)->mean())->toBeLessThan(128.0)->and($alpha->crop(350, 600, 200, 10)->mean())->toBeGreaterThan(200.0)->and($alpha->crop(400, 500, 100, 100)->mean())->toBeGreaterThan(250.0)
        ->and(array_column($after->layers[0]->toArray()['effects'], 'kind'))->toBe(['halftone'])->and($after->layers[0]->masks)->toHaveCount(1);
});
