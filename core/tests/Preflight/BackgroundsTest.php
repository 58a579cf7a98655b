<?php

declare(strict_types=1);

use TallCrow\Asset\FolderShelf;
use TallCrow\Edit\Operations;
use TallCrow\Preflight\BackgroundLeft;
use TallCrow\Preflight\Finding;
use TallCrow\Preflight\Mend;
use TallCrow\Preflight\Verdict;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/subjects.php';

/** The folder of the pictures, made once for all tests. */
function backgrounds_folder(): string
{
    static $folder = null;
    if ($folder !== null) {
        return $folder;
    }
    $folder = Fixtures::temporary('backgrounds');
    $draw = fn (string $file, string ...$how): string => Fixtures::run(['convert', '-size', '600x600', ...$how, "$folder/$file"]);
    $draw('paper.png', 'xc:white', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,100');
    // A ring on paper: the paper within it is enclosed.
    $draw('ring.png', 'xc:white', '-fill', 'none', '-stroke', '#b04a2c', '-strokewidth', '80', '-draw', 'circle 300,300 300,100');
    $draw('eyes.png', 'xc:white', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,60', '-fill', 'white', '-draw', 'circle 220,240 220,200', '-draw', 'circle 380,240 380,200');
    $draw('crumb.png', 'xc:white', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,60', '-fill', 'white', '-draw', 'rectangle 300,300 311,311');
    $draw('halo.png', 'xc:none', '-fill', 'white', '-draw', 'circle 300,300 300,80', '-fill', '#b04a2c', '-draw', 'circle 300,300 300,86');
    $draw('whole.png', 'xc:none', '-fill', 'white', '-draw', 'circle 300,300 300,80');
    $draw('photo.png', 'plasma:red-blue');
    file_put_contents("$folder/page.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 60"><rect width="60" height="60" fill="#ffffff"/><circle cx="30" cy="30" r="20" fill="#b04a2c"/></svg>');
    file_put_contents("$folder/sky.svg", '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 60"><rect width="60" height="60" fill="#3f7f95"/><circle cx="30" cy="30" r="20" fill="#b04a2c"/></svg>');

    return $folder;
}

beforeEach(function (): void {
    $this->folder = backgrounds_folder();
    $this->found = fn (string $file, array $effects = [], array $more = []): ?Finding => gauged_from($this->folder, new BackgroundLeft, [standing_in($file, $effects, $more)])['background:p'] ?? null;
});

/** @return array<string, mixed> a piece of two inches */
function standing_in(string $file, array $effects = [], array $more = []): array
{
    return array_replace_recursive(['id' => 'p', 'name' => 'Piece', 'source' => ['kind' => 'art', 'file' => $file, 'frame' => 'file'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null], 'effects' => $effects], $more);
}

it('tells what is left of a background, and offers what takes just that', function (string $file, array $effects, Verdict $verdict, string $figure, array $mends): void {
    $found = ($this->found)($file, $effects);
    expect($found->verdict)->toBe($verdict)->and($found->figure)->toBe($figure)->and(array_map(fn (Mend $mend): string => $mend->says, $found->mends))->toBe($mends);
})->with([
    'all of it' => ['paper.png', [], Verdict::Fail, 'background #ffffff', ['Clear it from the edge']],
    'all of it but for what is off' => ['paper.png', [['kind' => 'clear-edge', 'on' => false]], Verdict::Fail, 'background #ffffff', ['Clear it from the edge']],
    'none' => ['paper.png', [['kind' => 'clear-edge', 'tolerance' => 14]], Verdict::Pass, 'background off', []],
    'one pocket' => ['ring.png', [['kind' => 'clear-edge', 'tolerance' => 14, 'islands' => 'kept']], Verdict::Warn, '1 pocket left', ['Clear what it encloses, too']],
    'two pockets' => ['eyes.png', [['kind' => 'clear-edge', 'tolerance' => 14, 'islands' => 'kept']], Verdict::Warn, '2 pockets left', ['Clear what it encloses, too']],
    'pockets that a line clears' => ['eyes.png', [['kind' => 'clear-edge', 'tolerance' => 14, 'islands' => 'cleared']], Verdict::Pass, 'background off', []],
    'a pocket too small to matter' => ['crumb.png', [['kind' => 'clear-edge', 'tolerance' => 14, 'islands' => 'kept']], Verdict::Pass, 'background off', []],
    'a rim' => ['halo.png', [], Verdict::Warn, 'a rim left', ['Take its edge in a little']],
    'a piece that is white all through' => ['whole.png', [], Verdict::Pass, 'background off', []],
    'a photo that fills its rectangle' => ['photo.png', [], Verdict::Warn, 'square edges', ['Tear its edge off raggedly', 'Fade its edge in a soft oval of dots']],
    'a drawing on white paper' => ['page.svg', [], Verdict::Fail, 'background #ffffff', []],
    'a drawing that fills its page on purpose' => ['sky.svg', [], Verdict::Pass, 'background off', []],
]);

it('takes away what its mends say', function (string $file, array $effects): void {
    $layers = [standing_in($file, $effects)];
    $found = ($this->found)($file, $effects);
    $after = Operations::apply($found->mends[0]->operations, Fixtures::artwork($layers), Fixtures::renderer(Fixtures::shelf($this->folder))->placer)->artwork;
    expect(gauged_from($this->folder, new BackgroundLeft, $after->toArray()['layers'])['background:p']->verdict)->toBe(Verdict::Pass);
})->with([
    'from the edge' => ['paper.png', []],
    'pockets' => ['eyes.png', [['kind' => 'saturation', 'by' => 1.2], ['kind' => 'clear-edge', 'tolerance' => 14, 'islands' => 'kept']]],
    'the rim' => ['halo.png', []],
]);

it('clears first of all, and takes an edge in last of all', function (string $file, int $at, string $kind): void {
    $effects = [['kind' => 'saturation', 'by' => 1.2]];
    $found = ($this->found)($file, $effects);
    $after = Operations::apply($found->mends[0]->operations, Fixtures::artwork([standing_in($file, $effects)]), Fixtures::renderer(Fixtures::shelf($this->folder))->placer)->artwork;
    expect($after->layers[0]->effects[$at]->kind)->toBe($kind);
})->with([['paper.png', 0, 'clear-edge'], ['halo.png', 1, 'edge']]);

it('says of a piece that is knocked out that it would take a block out of the ink', function (): void {
    expect(($this->found)('paper.png', [], ['role' => ['kind' => 'knockout', 'gap' => 0]])->says)->toContain('it would take a block out of the ink')
        ->and(($this->found)('paper.png')->says)->toContain('it would print as a block')
        ->and(($this->found)('paper.png', [], ['on' => false]))->toBeNull();
});

it('measures a rim by its edge alone', function (): void {
    // A white band of 6 px about a disc of 214 px, seen 600 px wide: all of the edge, none of what lies further in.
    expect(($this->found)('halo.png')->says)->toContain('(100 % of its edge)');
});

it('evens the light of a shaded page before it is cleared', function (): void {
    // Light falls off from 250 to 130 across the page: one material, no one colour.
    $shade = '';
    for ($y = 0; $y < 400; $y++) {
        for ($x = 0; $x < 400; $x++) {
            $light = 250 - 120 * $x / 400;
            $isInk = hypot($x - 200, $y - 200) < 110;
            $shade .= $isInk ? chr((int) ($light * 0.6)).chr((int) ($light * 0.2)).chr((int) ($light * 0.15))."\xff" : str_repeat(chr((int) $light), 3)."\xff";
        }
    }
    ImageFile::writePng(Image::raw($shade, 400, 400, 4), "$this->folder/shaded.png");
    $found = ($this->found)('shaded.png');
    expect(array_map(fn (Mend $mend): string => $mend->says, $found->mends))->toBe(['Even out its light, and clear it from the edge'])->and($found->verdict)->toBe(Verdict::Fail);
    $after = Operations::apply($found->mends[0]->operations, Fixtures::artwork([standing_in('shaded.png')]), Fixtures::renderer(new FolderShelf($this->folder))->placer)->artwork;
    expect(array_map(fn ($line): string => $line->kind, $after->layers[0]->effects))->toBe(['even-light', 'clear-edge'])
        ->and(gauged_from($this->folder, new BackgroundLeft, $after->toArray()['layers'])['background:p']->verdict)->toBe(Verdict::Pass);
});
