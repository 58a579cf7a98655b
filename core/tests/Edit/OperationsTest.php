<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Layer;
use TallCrow\Colour\Contrast;
use TallCrow\Colour\Srgb;
use TallCrow\Edit\EditRefused;
use TallCrow\Edit\Operations;
use TallCrow\Effect\Ink\Fill;
use TallCrow\Tests\Fixtures;

require_once __DIR__.'/desk.php';

it('sends each operation as it reads it', function (array $sent): void {
    $read = Operations::read([$sent])[0];
    expect($read->toArray())->toEqual($sent)->and(Operations::read([$read->toArray()])[0])->toEqual($read)->and(Operations::classes()[$sent['op']])->toBe($read::class);
})->with([
    [['op' => 'move', 'ids' => ['a', 'b'], 'dx' => 0.5, 'dy' => -1.0]], [['op' => 'scale', 'ids' => ['a'], 'by' => 2.0]], [['op' => 'turn', 'ids' => ['a'], 'degrees' => -12.5]],
    [['op' => 'flip', 'ids' => ['a'], 'way' => 'down']], [['op' => 'size-by', 'ids' => ['w'], 'by' => 'em', 'size' => null]], [['op' => 'stand-around', 'id' => 'w', 'about' => 'a', 'edge' => 'inside', 'side' => 'under', 'gap' => null]], [['op' => 'set-form', 'id' => 'w', 'letters' => 'last-of-words', 'letter' => 1, 'tag' => 'swsh', 'value' => 2]], [['op' => 'align', 'ids' => ['a', 'b'], 'edge' => 'left', 'to' => 'sheet']], [['op' => 'space', 'ids' => ['a', 'b'], 'way' => 'across', 'gap' => null]],
    [['op' => 'space', 'ids' => ['a', 'b'], 'way' => 'down', 'gap' => 0.25]], [['op' => 'group', 'ids' => ['a']]], [['op' => 'ungroup', 'id' => 'a']], [['op' => 'remove', 'ids' => ['a']]], [['op' => 'copy', 'ids' => ['a'], 'linked' => true]], [['op' => 'follow-recipe', 'id' => 'w', 'words' => '', 'layers' => [], 'swatches' => [], 'replace' => ['#b04a2c'], 'with' => ['@Bone']]], [['op' => 'paste', 'layers' => [], 'swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']]]],
    [['op' => 'reorder', 'id' => 'a', 'to' => 3]], [['op' => 'stretch', 'id' => 'a']], [['op' => 'put-in-order', 'id' => 'a']], [['op' => 'shield', 'id' => 'a']], [['op' => 'harden-masks', 'id' => 'a']], [['op' => 'as-halftone', 'ids' => ['a']]], [['op' => 'cover-cut', 'id' => 'a', 'side' => 'bottom', 'with' => 'patch']],
    [['op' => 'add-effect', 'id' => 'a', 'line' => ['kind' => 'fill', 'colour' => '@Bone', 'on' => true], 'first' => true, 'standsOut' => false]], [['op' => 'reorder-line', 'id' => 'a', 'list' => 'masks', 'from' => 0, 'to' => 2]], [['op' => 'remove-line', 'id' => 'a', 'list' => 'masks', 'line' => 1]], [['op' => 'set-choice', 'id' => 'a', 'list' => 'effects', 'line' => 1, 'name' => 'paper', 'value' => 'kraft']],
    [['op' => 'add-repeat', 'id' => 'a', 'kind' => 'stack']], [['op' => 'add-mask', 'id' => 'a', 'mask' => ['kind' => 'clip', 'layer' => 'b', 'inverted' => false, 'joining' => 'within', 'on' => true, 'rings' => 'around']]],
    [['op' => 'set-opacity', 'id' => 'a', 'opacity' => 0.5]], [['op' => 'set-blend', 'id' => 'a', 'blend' => 'soft-light']], [['op' => 'set-role', 'id' => 'a', 'role' => ['kind' => 'knockout', 'gap' => 0.1, 'join' => 'mitre', 'from' => ['b'], 'sets' => true, 'whole' => false]]],
    [['op' => 'set-words', 'id' => 'w', 'text' => 'KITE DAY']], [['op' => 'draw', 'id' => '', 'stroke' => ['points' => [[1.0, 2.0], [2.0, 2.5]], 'width' => 0.2, 'tip' => 'slash', 'symmetry' => 'none', 'count' => 6, 'seed' => 3]]],
    [['op' => 'scale-wear', 'ids' => [], 'by' => 0.5]], [['op' => 'take-out', 'id' => 'a', 'points' => [[0.0, 0.0], [1.0, 0.0], [0.5, 1.0]]]], [['op' => 'lay-cut', 'id' => 'a', 'font' => 'rye.woff2', 'behind' => true]],
    [['op' => 'swap-picture', 'id' => 'a', 'file' => 'moth.svg']], [['op' => 'refit', 'width' => 600, 'height' => 800, 'ppi' => 200.0]], [['op' => 'leave-garment-out', 'name' => 'Slate']],
    [['op' => 'mean-so', 'key' => 'edge', 'why' => 'it bleeds']], [['op' => 'name-colour', 'colour' => '#b04a2c', 'name' => 'Rust']], [['op' => 'rename-colour', 'from' => 'Rust', 'to' => 'Brick']], [['op' => 'remove-colour', 'name' => 'Rust']],
    [['op' => 'add', 'source' => ['kind' => 'grid', 'columns' => 3, 'rows' => 1, 'gap' => 0.2], 'share' => 0.5]],
    [['op' => 'add-wear', 'id' => '', 'wear' => ['texture' => 'cracks', 'amount' => 0.2, 'scale' => 1.0, 'seed' => 4, 'inverted' => false, 'shielded' => [], 'on' => true, 'file' => '', 'x' => 0.0, 'y' => 0.0, 'turn' => 0.0, 'strokes' => [], 'asItIs' => false]]],
]);

it('has an example of every operation above', function (): void {
    $text = (string) file_get_contents(__FILE__);
    foreach (array_keys(Operations::classes()) as $name) {
        expect($text)->toContain("[['op' => '$name'");
    }
});

it('moves pieces, and all that a group holds', function (): void {
    $moved = operated(desk(), ['op' => 'move', 'ids' => ['word', 'pair'], 'dx' => 0.25, 'dy' => -0.5])->artwork;
    expect($moved->layer('word')?->placement?->x)->toBe(1.75)->and($moved->layer('left')?->placement?->y)->toBe(2.5)->and($moved->layer('plate')?->placement?->x)->toBe(1.25);
});

it('sizes a ringed piece ring and all, about its own middle', function (): void {
    $twice = operated(desk(), ['op' => 'scale', 'ids' => ['word'], 'by' => 2])->artwork;
    expect($twice->layer('word')?->effects[1]->values->number('width'))->toEqualWithDelta(0.2, 1e-9)
        ->and(ink_box($twice, 'word')->width())->toEqualWithDelta(3.0, 1e-6)
        ->and(ink_box($twice, 'word')->centreX())->toEqualWithDelta(ink_box(desk(), 'word')->centreX(), 1e-6);
});

it('sizes and turns several about the middle that they have together', function (): void {
    $half = operated(desk(), ['op' => 'scale', 'ids' => ['left', 'right'], 'by' => 0.5])->artwork;
    expect($half->layer('left')?->placement?->x)->toEqualWithDelta(1.0, 1e-9)->and($half->layer('right')?->placement?->x)->toEqualWithDelta(2.0, 1e-9);
    $turned = operated(desk(), ['op' => 'turn', 'ids' => ['left', 'right'], 'degrees' => 90])->artwork;
    // Clockwise: what was left is above.
    expect($turned->layer('left')?->placement)->toMatchObject(['turn' => 90.0])->and($turned->layer('left')?->placement?->y)->toBeLessThan(2.1)->and($turned->layer('right')?->placement?->y)->toBeGreaterThan(3.9);
});

// A piece mirrored on a diagonal stands as one mirrored across and turned by a quarter: matrices of the plane say the same.
it('turns a mirrored piece as the plane does', function (): void {
    $mirrored = Fixtures::artwork([Fixtures::shape('a', 'polygon', 2, more: ['source' => ['count' => 3], 'placement' => ['flip' => 'across', 'turn' => 20]])]);
    $turned = operated($mirrored, ['op' => 'turn', 'ids' => ['a'], 'degrees' => 90])->artwork;
    $once = Fixtures::renderer()->placer->place($mirrored->layers[0])?->path;
    $then = Fixtures::renderer()->placer->place($turned->layers[0])?->path;
    assert($once !== null && $then !== null);
    $box = ink_box($mirrored, 'a');
    $byPlane = $once->transformed(TallCrow\Geometry\Affine::shift(-$box->centreX(), -$box->centreY())->then(TallCrow\Geometry\Affine::turn(90))->then(TallCrow\Geometry\Affine::shift($box->centreX(), $box->centreY())));
    foreach ($byPlane->segments as $i => $segment) {
        expect($then->segments[$i])->toEqualWithDelta($segment, 1e-9);
    }
});

it('mirrors several as one piece', function (): void {
    $flipped = operated(desk(), ['op' => 'flip', 'ids' => ['left', 'right'], 'way' => 'across'])->artwork;
    expect($flipped->layer('left')?->placement?->x)->toEqualWithDelta(2.5, 1e-9)->and($flipped->layer('left')?->placement?->flip->value)->toBe('across')
        ->and(operated($flipped, ['op' => 'flip', 'ids' => ['pair'], 'way' => 'across'])->artwork)->toEqual(desk());
});

it('copies with ids of their own, each right after its original, and chooses the copies', function (): void {
    $edited = operated(desk(), ['op' => 'copy', 'ids' => ['plate', 'pair']]);
    expect(ids($edited->artwork))->toBe(['plate', $edited->chosen[0], 'word', 'pair', $edited->chosen[1]])
        ->and(count(array_unique(array_map(fn (Layer $l): string => $l->id, $edited->artwork->everyLayer()))))->toBe(9);
});

it('pastes lines of another sheet with the colours that they name, and lets go of what is not there', function (): void {
    $copied = Fixtures::artwork([
        Fixtures::shape('moon', 'ellipse', 1.0), Fixtures::shape('left', 'ellipse', 1.0),
        Fixtures::shape('plate', 'rectangle', 1.0, '@Rust', ['masks' => [['kind' => 'clip', 'layer' => 'moon'], ['kind' => 'clip', 'layer' => 'left']], 'role' => ['kind' => 'knockout', 'gap' => 0.1, 'from' => ['moon', 'left']]]),
    ], ['swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']]])->toArray();
    $desk = Fixtures::artwork([Fixtures::shape('own', 'rectangle', 1.0)]);
    $edited = operated($desk, ['op' => 'paste', 'layers' => [$copied['layers'][0], $copied['layers'][2]], 'swatches' => $copied['swatches']]);
    [$moon, $plate] = array_map(fn (string $id): Layer => $edited->artwork->layer($id), $edited->chosen);
    expect(ids($edited->artwork))->toBe(['own', $moon->id, $plate->id])
        ->and(array_map(fn ($mask) => $mask->clipsTo(), $plate->masks))->toBe([$moon->id])->and($plate->role->from)->toBe([$moon->id])
        ->and($edited->artwork->swatches[0]->colour->toHex())->toBe('#b04a2c')
        ->and($moon->placement->x)->toBe($copied['layers'][0]['placement']['x']);
    // Once more on the same sheet: beside the first, and the colour is there already.
    $again = operated($edited->artwork, ['op' => 'paste', 'layers' => [$moon->toArray()], 'swatches' => $copied['swatches']]);
    expect($again->artwork->layer($again->chosen[0])->placement->x)->toEqualWithDelta($moon->placement->x + 0.15, 1e-9)->and($again->artwork->swatches)->toHaveCount(1);
    operated($desk, ['op' => 'paste', 'layers' => [], 'swatches' => []]);
})->throws(TallCrow\Edit\EditRefused::class, 'Nothing was copied');

it('does to other words, and to another piece, what a recipe did to its own', function (): void {
    $recipe = Fixtures::artwork([
        Fixtures::words('glow', 'MOTH', 2.0, ['placement' => ['x' => 1.6, 'y' => 2.1], 'opacity' => 0.5]),
        Fixtures::shape('bar', 'rectangle', 1.0, '@Rust', ['placement' => ['x' => 1.5, 'y' => 3.0]]),
        Fixtures::words('body', 'MOTH', 2.0, ['effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'outline', 'width' => 0.1, 'colour' => '@Rust']], 'masks' => [['kind' => 'clip', 'layer' => 'bar']]]),
    ], ['swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']]])->toArray();
    $follow = fn (string $id): array => ['op' => 'follow-recipe', 'id' => $id, 'words' => 'KITE DAY', 'layers' => $recipe['layers'], 'swatches' => $recipe['swatches']];
    $new = operated(Fixtures::artwork([]), $follow(''));
    [$glow, $bar, $body] = $new->artwork->layers;
    // A sheet of 3 × 4 in: the words lie at (1.5, 1.333), 1.8 in wide where the recipe's were 2.
    expect([$glow->source->text, $body->source->text, $body->source->font])->toBe(['KITE DAY', 'KITE DAY', 'alfa-slab-one.woff2'])
        ->and($glow->opacity)->toBe(0.5)->and($body->effects)->toHaveCount(2)->and($body->masks[0]->clipsTo())->toBe($bar->id)
        ->and($glow->placement->x)->toEqualWithDelta(1.5 + 0.1 * 0.9, 1e-6)->and($bar->placement->y)->toEqualWithDelta(4 / 3 + 0.9, 1e-3)->and($bar->placement->width)->toEqualWithDelta(0.9, 1e-6)
        ->and($new->artwork->swatches[0]->name)->toBe('Rust')->and($new->chosen[0])->toBe($body->id);
    $desk = Fixtures::artwork([Fixtures::shape('under', 'rectangle', 1.0), Fixtures::words('mine', 'Bells', 2.0, ['effects' => [1 => ['kind' => 'arch', 'bend' => 0.3]], 'placement' => ['x' => 1.2]]), Fixtures::shape('over', 'rectangle', 1.0)]);
    $dressed = operated($desk, $follow('mine'));
    expect(count($dressed->artwork->layers))->toBe(5)->and(ids($dressed->artwork)[0])->toBe('under')->and(ids($dressed->artwork)[3])->toBe('mine')->and(ids($dressed->artwork)[4])->toBe('over')
        ->and($dressed->artwork->layer('mine')->source->text)->toBe('Bells')->and(array_map(fn ($line) => $line->kind, $dressed->artwork->layer('mine')->effects))->toBe(['fill', 'outline'])
        ->and($dressed->artwork->layer('mine')->placement->x)->toBe(1.2);
});

it('keeps a recipe\'s own words where none are given, and lays one of art alone', function (): void {
    $follow = fn (array $layers, string $words, string $id = ''): array => ['op' => 'follow-recipe', 'id' => $id, 'words' => $words, 'layers' => $layers, 'swatches' => []];
    $text = Fixtures::artwork([Fixtures::words('body', 'MOTH', 2.0, ['placement' => ['turn' => 5]])])->toArray()['layers'];
    $blank = operated(Fixtures::artwork([]), $follow($text, '  '))->artwork->layers[0];
    expect($blank->source->toArray()['text'])->toBe('MOTH')->and($blank->placement?->turn)->toBe(5.0)->and($blank->placement?->width)->toEqualWithDelta(1.8, 1e-9);
    $art = Fixtures::artwork([
        Fixtures::shape('bar', 'rectangle', 0.5, more: ['placement' => ['x' => 1.0, 'y' => 1.0]]),
        ['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth.svg', 'frame' => 'ink'], 'placement' => ['x' => 2.0, 'y' => 1.0, 'width' => 0.9, 'height' => null], 'effects' => []],
    ])->toArray()['layers'];
    [$bar, $moth] = operated(Fixtures::artwork([]), $follow($art, 'not for art'))->artwork->layers;
    // The last piece is the main one: twice as large as in the recipe, and the bar stands as far from it, twice.
    expect($moth->source->toArray()['file'])->toBe('moth.svg')->and($moth->placement?->width)->toEqualWithDelta(1.8, 1e-9)->and($bar->placement?->width)->toEqualWithDelta(1.0, 1e-9)
        ->and($bar->placement?->x)->toEqualWithDelta(1.5 - 2.0, 1e-6)->and($bar->placement?->y)->toEqualWithDelta($moth->placement?->y ?? 0.0, 1e-6);
    expect(fn () => operated(Fixtures::artwork([]), $follow([], 'x')))->toThrow(EditRefused::class, 'The recipe holds no lines');
});

it('keeps what was retouched of a picture when a recipe dresses it, and takes no retouching along', function (): void {
    $photo = fn (string $id, float $x, array $effects): array => ['id' => $id, 'source' => ['kind' => 'art', 'file' => 'rock-pool.png', 'frame' => 'file'], 'placement' => ['x' => $x, 'y' => 2, 'width' => 1.2, 'height' => null], 'effects' => $effects];
    $recipe = Fixtures::artwork([$photo('r', 1.0, [['kind' => 'levels'], ['kind' => 'halftone'], ['kind' => 'outline', 'width' => 0.05]])])->toArray()['layers'];
    $dressed = operated(Fixtures::artwork([$photo('mine', 1.5, [['kind' => 'saturation'], ['kind' => 'posterised']])]), ['op' => 'follow-recipe', 'id' => 'mine', 'words' => '', 'layers' => $recipe, 'swatches' => []])->artwork->layer('mine');
    expect(array_map(fn ($line): string => $line->kind, $dressed?->effects ?? []))->toBe(['saturation', 'halftone', 'outline'])->and($dressed?->placement?->x)->toBe(1.5);
});

it('follows a recipe in other colours, with another font and another picture', function (): void {
    $recipe = Fixtures::artwork([
        ['id' => 'art', 'name' => '#f3ead7', 'source' => ['kind' => 'art', 'file' => 'moth.svg', 'frame' => 'ink'], 'placement' => ['x' => 1.5, 'y' => 3, 'width' => 1, 'height' => null], 'effects' => [['kind' => 'fill', 'colour' => '#f3ead7']]],
        Fixtures::words('body', '#f3ead7', 2.0, ['effects' => [['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'outline', 'colour' => '@Rust']]]),
    ], ['swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']]])->toArray();
    $follow = ['op' => 'follow-recipe', 'layers' => $recipe['layers'], 'swatches' => $recipe['swatches'], 'replace' => ['#f3ead7', '@Rust', 'alfa-slab-one.woff2', 'moth.svg'], 'with' => ['@Bone', '#123456', 'rye.woff2', 'crab.svg']];
    [$art, $body] = operated(Fixtures::artwork([], ['swatches' => [['name' => 'Bone', 'colour' => '#efe6d0']]]), $follow)->artwork->toArray()['layers'];
    expect([$art['name'], $art['source']['file'], $art['effects'][0]['colour']])->toBe(['#f3ead7', 'crab.svg', '@Bone'])
        ->and([$body['source']['text'], $body['source']['font'], $body['effects'][0]['colour'], $body['effects'][1]['colour']])->toBe(['#f3ead7', 'rye.woff2', '@Bone', '#123456']);
    expect(fn () => Operations::read([['with' => ['#123456']] + $follow]))->toThrow(ArtworkInvalid::class, 'with: holds 1; "replace" holds 4');
});

it('takes pieces out of the sheet and out of every line that names them', function (): void {
    $artwork = Fixtures::artwork([
        Fixtures::shape('a', 'star', 1), Fixtures::shape('b', 'star', 1, more: ['masks' => [['kind' => 'clip', 'layer' => 'a']], 'distress' => [['texture' => 'cracks', 'shielded' => ['a']]]]),
        Fixtures::shape('hole', 'star', 1, more: ['role' => ['kind' => 'knockout', 'from' => ['a', 'b']]]), Fixtures::shape('only', 'star', 1, more: ['role' => ['kind' => 'knockout', 'from' => ['a']]]),
    ], ['distress' => [['texture' => 'cracks', 'shielded' => ['a', 'b']]]]);
    $left = operated($artwork, ['op' => 'remove', 'ids' => ['a']])->artwork;
    expect(ids($left))->toBe(['b', 'hole', 'only'])->and($left->layers[0]->masks)->toBe([])->and($left->layers[0]->distress[0]->shielded)->toBe([])
        ->and($left->distress[0]->shielded)->toBe(['b'])->and($left->layers[1]->role->from)->toBe(['b'])->and($left->layers[1]->on)->toBeTrue()
        // It took from that piece alone; it must not take from all below now.
        ->and($left->layers[2]->on)->toBeFalse();
});

it('moves a piece in the print order of its own list', function (int $to, array $order): void {
    expect(ids(operated(desk(), ['op' => 'reorder', 'id' => 'plate', 'to' => $to])->artwork))->toBe($order);
})->with([[0, ['plate', 'word', 'pair']], [1, ['word', 'plate', 'pair']], [9, ['word', 'pair', 'plate']]]);

it('reorders within a group, groups and takes apart', function (): void {
    $swapped = operated(desk(), ['op' => 'reorder', 'id' => 'right', 'to' => 0])->artwork;
    expect(array_map(fn (Layer $l): string => $l->id, $swapped->layers[2]->children()))->toBe(['right', 'left']);
    $grouped = operated(desk(), ['op' => 'group', 'ids' => ['plate', 'word']]);
    expect(ids($grouped->artwork))->toBe([$grouped->chosen[0], 'pair']);
    $apart = operated($grouped->artwork, ['op' => 'ungroup', 'id' => $grouped->chosen[0]]);
    expect($apart->artwork)->toEqual(desk())->and($apart->chosen)->toBe(['plate', 'word']);
});

it('stretches from the size that a piece has now', function (): void {
    $placement = operated(desk(), ['op' => 'stretch', 'id' => 'word'])->artwork->layer('word')?->placement;
    expect($placement?->width)->toEqualWithDelta(1.5, 1e-6)->and($placement?->height)->toEqualWithDelta(ink_box(desk(), 'word')->height(), 1e-6);
});

it('adds a line where it reads best', function (array $line, int $at): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'KITE', 2, ['effects' => [
        ['kind' => 'fill', 'colour' => '#f3ead7'], ['kind' => 'outline'], ['kind' => 'paper'], ['kind' => 'halftone'],
    ]])]);
    $lines = operated($artwork, ['op' => 'add-effect', 'id' => 'w', 'line' => $line])->artwork->layers[0]->effects;
    expect($lines)->toHaveCount(5)->and($lines[$at]->kind)->toBe($line['kind']);
})->with([
    'a warp before ink' => [['kind' => 'arch'], 0], 'type before ink' => [['kind' => 'letter-spacing'], 0], 'a ring before a fill over all' => [['kind' => 'gap'], 2],
    'a fill before looks' => [['kind' => 'fill'], 3], 'a form before looks' => [['kind' => 'shadow'], 3], 'a look last' => [['kind' => 'stamped'], 4],
]);

it('adds a retouching line after those that are there, or first of all', function (bool $first, array $kinds): void {
    $artwork = Fixtures::artwork([['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null], 'effects' => [['kind' => 'crop'], ['kind' => 'outline']]]]);
    $lines = operated($artwork, ['op' => 'add-effect', 'id' => 'p', 'line' => ['kind' => 'clear-edge'], 'first' => $first])->artwork->layers[0]->effects;
    expect(array_column($lines, 'kind'))->toBe($kinds);
})->with([[false, ['crop', 'clear-edge', 'outline']], [true, ['clear-edge', 'crop', 'outline']]]);

it('refuses a line that can do nothing on the piece', function (string $id, string $kind): void {
    operated(desk(), ['op' => 'add-effect', 'id' => $id, 'line' => ['kind' => $kind]]);
})->with([['plate', 'letter-spacing'], ['word', 'crop'], ['pair', 'case']])->throws(EditRefused::class, 'can do nothing on');

it('adds masks, wear, repeats and roles', function (): void {
    $artwork = operated(desk(),
        ['op' => 'add-mask', 'id' => 'plate', 'mask' => ['kind' => 'ellipse', 'feather' => 0.1]], ['op' => 'add-mask', 'id' => 'plate', 'mask' => ['kind' => 'star']],
        ['op' => 'add-wear', 'id' => 'word', 'wear' => ['texture' => 'cracks']], ['op' => 'add-wear', 'id' => '', 'wear' => ['texture' => 'speckle']],
        ['op' => 'add-repeat', 'id' => 'plate', 'kind' => 'stack'], ['op' => 'set-role', 'id' => 'word', 'role' => ['kind' => 'knockout', 'gap' => 0.05]], ['op' => 'set-opacity', 'id' => 'pair', 'opacity' => 0.5],
    )->artwork;
    expect(array_map(fn ($mask): string => $mask->toArray()['kind'], $artwork->layers[0]->masks))->toBe(['ellipse', 'star'])->and($artwork->layer('word')?->distress[0]->texture)->toBe('cracks')
        ->and($artwork->distress[0]->texture)->toBe('speckle')->and($artwork->layers[0]->repeat?->count)->toBe(4)->and($artwork->layers[0]->repeat->x)->toBe(1.5)
        ->and($artwork->layer('word')->role->gap)->toBe(0.05)->and($artwork->layer('word')->role->prints())->toBeFalse()->and($artwork->layers[2]->opacity)->toBe(0.5);
    $hard = operated($artwork, ['op' => 'harden-masks', 'id' => 'plate'])->artwork;
    expect($hard->layers[0]->masks[0]->isSoft())->toBeFalse()->and($artwork->layers[0]->masks[0]->isSoft())->toBeTrue();
});

it('reorders the lines of a list', function (string $id, string $list, array $after): void {
    $artwork = Fixtures::artwork([Fixtures::shape('s', 'star', 1, more: [
        'effects' => [['kind' => 'fill'], ['kind' => 'outline'], ['kind' => 'gap']], 'masks' => [['kind' => 'ellipse'], ['kind' => 'star'], ['kind' => 'polygon']], 'distress' => [['texture' => 'cracks'], ['texture' => 'speckle'], ['texture' => 'scratches']],
    ])], ['distress' => [['texture' => 'photocopy'], ['texture' => 'cracks'], ['texture' => 'dry-roller']]]);
    $sheet = operated($artwork, ['op' => 'reorder-line', 'id' => $id, 'list' => $list, 'from' => 0, 'to' => 1])->artwork->toArray();
    expect(array_map(fn (array $line): string => $line['kind'] ?? $line['texture'], $id === '' ? $sheet['distress'] : $sheet['layers'][0][$list]))->toBe($after);
})->with([['s', 'effects', ['outline', 'fill', 'gap']], ['s', 'masks', ['star', 'ellipse', 'polygon']], ['s', 'distress', ['speckle', 'cracks', 'scratches']], ['', 'distress', ['cracks', 'photocopy', 'dry-roller']]]);

it('takes out a line of a layer or of the sheet, and none but that', function (string $id, string $list, array $left): void {
    $artwork = Fixtures::artwork([Fixtures::shape('s', 'star', 1, more: ['effects' => [['kind' => 'fill'], ['kind' => 'outline'], ['kind' => 'gap']], 'masks' => [['kind' => 'ellipse'], ['kind' => 'star'], ['kind' => 'polygon']], 'distress' => [['texture' => 'cracks'], ['texture' => 'speckle'], ['texture' => 'scratches']]])], ['distress' => [['texture' => 'photocopy'], ['texture' => 'cracks'], ['texture' => 'dry-roller']]]);
    [$before, $after] = [$artwork->toArray(), operated($artwork, ['op' => 'remove-line', 'id' => $id, 'list' => $list, 'line' => 1])->artwork->toArray()];
    expect(array_map(fn (array $line): string => $line['kind'] ?? $line['texture'], $id === '' ? $after['distress'] : $after['layers'][0][$list]))->toBe($left);
    if ($id === '') {
        unset($before['distress'], $after['distress']);
    } else {
        unset($before['layers'][0][$list], $after['layers'][0][$list]);
    }
    expect($after)->toBe($before);
})->with([['s', 'effects', ['fill', 'gap']], ['s', 'masks', ['ellipse', 'polygon']], ['s', 'distress', ['cracks', 'scratches']], ['', 'distress', ['photocopy', 'dry-roller']]]);

it('sets a word of a line to another that it offers, and nothing else', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'KITE', 2, ['effects' => [['kind' => 'fill'], ['kind' => 'paper', 'paper' => 'gingham', 'seed' => 7]], 'distress' => [['texture' => 'cracks', 'amount' => 0.3, 'seed' => 9]]])], ['distress' => [['texture' => 'photocopy']]]);
    $after = operated(
        $artwork, ['op' => 'set-choice', 'id' => 'w', 'list' => 'effects', 'line' => 1, 'name' => 'paper', 'value' => 'kraft'],
        ['op' => 'set-choice', 'id' => 'w', 'list' => 'distress', 'line' => 0, 'name' => 'texture', 'value' => 'speckle'], ['op' => 'set-choice', 'list' => 'distress', 'line' => 0, 'name' => 'texture', 'value' => 'scratches'],
    )->artwork->toArray();
    $before = $artwork->toArray();
    [$before['layers'][0]['effects'][1]['paper'], $before['layers'][0]['distress'][0]['texture'], $before['distress'][0]['texture']] = ['kraft', 'speckle', 'scratches'];
    expect($after)->toEqual($before);
    $coloured = operated($artwork, ['op' => 'set-choice', 'id' => 'w', 'list' => 'effects', 'line' => 0, 'name' => 'colour', 'value' => '#24506e'])->artwork->layer('w');
    expect($coloured?->effects[0]->values->word('colour'))->toBe('#24506e')->and($coloured->effects[0]->effect())->toEqual(Fixtures::effect('fill', ['colour' => '#24506e']));
    expect(fn () => operated($artwork, ['op' => 'set-choice', 'id' => 'w', 'list' => 'effects', 'line' => 0, 'name' => 'colour', 'value' => 'reddish']))->toThrow(ArtworkInvalid::class, 'effects[0].colour');
    expect(fn () => operated($artwork, ['op' => 'set-choice', 'id' => 'w', 'list' => 'effects', 'line' => 1, 'name' => 'paper', 'value' => 'velvet']))->toThrow(ArtworkInvalid::class, 'effects[1].paper: must be one of');
    expect(fn () => operated($artwork, ['op' => 'set-choice', 'id' => 'w', 'list' => 'distress', 'line' => 0, 'name' => 'texture', 'value' => 'velvet']))->toThrow(ArtworkInvalid::class, 'distress[0].texture: must be one of');
});

it('puts lines in the order that reads best', function (): void {
    $artwork = Fixtures::artwork([Fixtures::words('w', 'KITE', 2, ['effects' => [['kind' => 'fill'], ['kind' => 'paper'], ['kind' => 'outline'], ['kind' => 'arch']]])]);
    expect(array_column(operated($artwork, ['op' => 'put-in-order', 'id' => 'w'])->artwork->layers[0]->effects, 'kind'))->toBe(['arch', 'fill', 'outline', 'paper']);
});

it('takes less by wear, and shields', function (): void {
    $artwork = desk(['distress' => [['texture' => 'cracks', 'amount' => 0.4]]]);
    $artwork = operated($artwork, ['op' => 'add-wear', 'id' => 'word', 'wear' => ['texture' => 'speckle', 'amount' => 0.2]], ['op' => 'add-wear', 'id' => 'plate', 'wear' => ['texture' => 'speckle', 'amount' => 0.2]])->artwork;
    $less = operated($artwork, ['op' => 'scale-wear', 'ids' => ['word'], 'by' => 0.5])->artwork;
    expect($less->distress[0]->amount)->toEqualWithDelta(0.2, 1e-9)->and($less->layer('word')?->distress[0]->amount)->toEqualWithDelta(0.1, 1e-9)->and($less->layer('plate')?->distress[0]->amount)->toEqualWithDelta(0.2, 1e-9);
    expect(operated($artwork, ['op' => 'scale-wear', 'by' => 0.5])->artwork->layer('plate')?->distress[0]->amount)->toEqualWithDelta(0.1, 1e-9);
    $shielded = operated($artwork, ['op' => 'shield', 'id' => 'word'])->artwork;
    expect($shielded->distress[0]->shielded)->toBe(['word'])->and($shielded->layer('word')?->distress[0]->amount)->toEqualWithDelta(0.1, 1e-9);
});

it('takes a part out as a piece of its own', function (): void {
    $edited = operated(desk(), ['op' => 'take-out', 'id' => 'plate', 'points' => [[0, 0], [0.5, 0], [0.5, 1]]]);
    [$rest, $part] = $edited->artwork->layers;
    expect($edited->chosen)->toBe([$part->id])->and($part->called())->toBe('Part of Rectangle')->and($rest->masks[0]->isInverted())->toBeTrue()->and($part->masks[0]->isInverted())->toBeFalse();
});

it('lays another cut of a face behind or over, and swaps a picture', function (): void {
    $behind = operated(desk(), ['op' => 'lay-cut', 'id' => 'word', 'font' => 'rye.woff2', 'behind' => true]);
    expect(ids($behind->artwork))->toBe(['plate', $behind->chosen[0], 'word', 'pair'])->and($behind->artwork->layers[1]->files())->toBe(['rye.woff2']);
    expect(ids(operated(desk(), ['op' => 'lay-cut', 'id' => 'word', 'font' => 'rye.woff2'])->artwork)[1])->toBe('word');
    $art = Fixtures::artwork([['id' => 'p', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1, 'height' => null], 'effects' => [['kind' => 'clear-edge'], ['kind' => 'outline']]]]);
    $swapped = operated($art, ['op' => 'swap-picture', 'id' => 'p', 'file' => 'moth.svg'])->artwork->layers[0];
    expect($swapped->files())->toBe(['moth.svg'])->and(array_column($swapped->effects, 'kind'))->toBe(['outline']);
});

it('adds pieces on top, filled where they have no colours of their own', function (): void {
    $edited = operated(desk(), ['op' => 'add', 'source' => ['kind' => 'shape', 'shape' => 'star'], 'share' => 0.5], ['op' => 'add', 'source' => ['kind' => 'art', 'file' => 'moth.svg'], 'share' => 0.25]);
    [$star, $moth] = array_slice($edited->artwork->layers, -2);
    expect($edited->chosen)->toBe([$moth->id])->and($star->placement?->height)->toBeNull()
        ->and($star->liveEffects()[0])->toBeInstanceOf(Fill::class)->and($moth->effects)->toBe([]);

    $bare = operated(Fixtures::artwork([]), ['op' => 'add', 'source' => ['kind' => 'shape', 'shape' => 'star'], 'share' => 0.5])->artwork->layers[0];
    expect($bare->placement)->toMatchObject(['x' => 1.5, 'y' => 1.3333, 'width' => 1.5, 'height' => null]);
});

it('lays new pieces where nothing lies, and rasters as small as the house wants', function (): void {
    $crowded = Fixtures::artwork([Fixtures::shape('top', 'rectangle', 2.8, more: ['placement' => ['x' => 1.5, 'y' => 1.0, 'height' => 1.8]]), Fixtures::shape('ground', 'rectangle', 3.0, more: ['placement' => ['x' => 1.5, 'y' => 2.0, 'height' => 4.0]])]);
    $edited = operated($crowded, ['op' => 'add', 'source' => ['kind' => 'shape', 'shape' => 'star'], 'share' => 0.25], ['op' => 'add', 'source' => ['kind' => 'art', 'file' => 'rock-pool.png'], 'share' => 1.0]);
    [$top, , $star, $pool] = $edited->artwork->layers;

    expect(ink_box($edited->artwork, $star->id)->intersection(ink_box($edited->artwork, $top->id))->isEmpty())->toBeTrue()
        ->and(ink_box($edited->artwork, $pool->id)->intersection(ink_box($edited->artwork, $top->id))->isEmpty())->toBeTrue()
        ->and(ink_box($edited->artwork, $pool->id)->intersection(ink_box($edited->artwork, $star->id))->isEmpty())->toBeTrue()
        ->and(Fixtures::renderer()->placer->effectivePpi($pool))->toBeGreaterThanOrEqual(300.0);
});

it('inks what is new so that it stands out on every cloth and on its piece', function (array $cloths, string $piece, string $ring): void {
    $sheet = Fixtures::artwork([], ['garments' => array_map(fn (string $hex): array => ['name' => $hex, 'colour' => $hex], $cloths)]);
    $edited = operated($sheet, ['op' => 'add', 'source' => ['kind' => 'shape', 'shape' => 'star'], 'share' => 0.5]);
    $ringed = operated($edited->artwork, ['op' => 'add-effect', 'id' => $edited->chosen[0], 'line' => ['kind' => 'outline'], 'standsOut' => true])->artwork->layers[0];

    expect($ringed->effects[0]->values->word('colour'))->toBe($piece)->and($ringed->effects[1]->values->word('colour'))->toBe($ring);
})->with([
    'on black' => [['#101010'], '#f3ead7', '#b04a2c'],
    'on white' => [['#ffffff'], '#1d1a16', '#b04a2c'],
    'on black and white' => [['#101010', '#ffffff'], '#b04a2c', '#d8b04a'],
]);

it('begins every line that lays ink so that it is seen on the cloth', function (string $kind, string $cloth, string $words): void {
    $sheet = Fixtures::artwork([Fixtures::words('w', 'MOTH', 2.4, ['effects' => [['kind' => 'fill', 'colour' => $words]]])], ['garments' => [['name' => 'Cloth', 'colour' => $cloth]]]);
    $added = fn (bool $standsOut): Artwork => operated($sheet, ['op' => 'add-effect', 'id' => 'w', 'line' => ['kind' => $kind], 'standsOut' => $standsOut])->artwork;
    // WCAG 2.2: what is large asks for a contrast of 3.
    $seen = function (Artwork $artwork) use ($cloth): int {
        $count = 0;
        foreach (str_split(Fixtures::render($artwork, 60)->toBytes(), 4) as $pixel) {
            $count += ord($pixel[3]) > 127 && Contrast::ratio(Srgb::of(ord($pixel[0]), ord($pixel[1]), ord($pixel[2])), Srgb::hex($cloth)) > 3 ? 1 : 0;
        }

        return $count;
    };
    $plain = Fixtures::render($sheet, 60)->alpha()->isMore(127.0)->area();
    expect($seen($added(true)))->toBeGreaterThan($kind === 'hollow' ? 0.3 * $plain : 0.7 * $plain);
})->with(['fill', 'hollow', 'outline', 'photocopied', 'halftone-inks'])->with([
    'pale words on black' => ['#17181a', '#f3ead7'],
    'dark words on white' => ['#fdfdfb', '#1f1d1a'],
]);

it('repeats about the middle of the piece, and stacks by its own height', function (): void {
    $box = ink_box(desk(), 'plate');
    $radial = operated(desk(), ['op' => 'add-repeat', 'id' => 'plate', 'kind' => 'radial'])->artwork->layer('plate')?->repeat;
    $stack = operated(desk(), ['op' => 'add-repeat', 'id' => 'plate', 'kind' => 'stack'])->artwork->layer('plate')?->repeat;
    $mirror = operated(desk(), ['op' => 'add-repeat', 'id' => 'plate', 'kind' => 'mirror-across'])->artwork->layer('plate')?->repeat;

    expect([$radial?->x, $radial?->y])->toEqualWithDelta([$box->centreX(), $box->centreY()], 0.001)->and($stack?->stepY)->toEqualWithDelta($box->height() + 0.1, 0.001)->and($mirror?->x)->toBe(1.5);
});

it('names, renames and removes colours, on every line that calls them', function (): void {
    $named = operated(desk(), ['op' => 'name-colour', 'colour' => '#f3ead7', 'name' => ' Bone '])->artwork;
    $word = fn (Artwork $a): string => (string) $a->layer('word')?->effects[0]->values->word('colour');
    expect($word($named))->toBe('@Bone')->and($named->layer('left')?->effects[0]->values->word('colour'))->toBe('@Bone')->and($named->layer('word')->effects[1]->values->word('colour'))->toBe('#b04a2c')
        ->and($named->layer('word')->effects[0]->values->colour('colour')->toHex())->toBe('#f3ead7');
    $renamed = operated($named, ['op' => 'rename-colour', 'from' => 'Bone', 'to' => 'Oat'])->artwork;
    expect($word($renamed))->toBe('@Oat')->and($renamed->swatches[0]->name)->toBe('Oat');
    expect(operated($renamed, ['op' => 'remove-colour', 'name' => 'Oat'])->artwork)->toEqual(desk());
});

it('refits, and offers fewer garments', function (): void {
    $half = operated(desk(), ['op' => 'refit', 'width' => 450, 'height' => 600, 'ppi' => 300])->artwork;
    expect($half->sheet->width)->toBe(450)->and(ink_box($half, 'word')->width())->toEqualWithDelta(0.75, 1e-6);
    $one = operated(desk(), ['op' => 'leave-garment-out', 'name' => 'Slate'])->artwork;
    expect(array_column($one->brief->garments, 'name'))->toBe(['Oat']);
    expect(fn () => operated($one, ['op' => 'leave-garment-out', 'name' => 'Oat']))->toThrow(EditRefused::class, 'one garment colour at least');
});

it('says what cannot be done as the sheet stands', function (array $operation, string $says): void {
    expect(fn () => operated(desk(['swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']]]), $operation))->toThrow(EditRefused::class, $says);
})->with([
    [['op' => 'move', 'ids' => ['gone'], 'dx' => 1, 'dy' => 1], 'The line "gone" is not on the sheet'], [['op' => 'ungroup', 'id' => 'word'], 'is no group'], [['op' => 'stretch', 'id' => 'pair'], 'has no size of its own'],
    [['op' => 'lay-cut', 'id' => 'plate', 'font' => 'rye.woff2'], 'is no text'], [['op' => 'swap-picture', 'id' => 'word', 'file' => 'moth.svg'], 'lays no picture'],
    [['op' => 'reorder-line', 'id' => 'word', 'list' => 'masks', 'from' => 2, 'to' => 0], 'does not have that line'], [['op' => 'reorder-line', 'list' => 'distress', 'from' => 0, 'to' => 0], 'The sheet does not have that line'],
    [['op' => 'remove-line', 'id' => 'word', 'list' => 'masks', 'line' => 2], 'does not have that line'], [['op' => 'remove-line', 'list' => 'distress', 'line' => 0], 'The sheet does not have that line'],
    [['op' => 'set-choice', 'id' => 'word', 'list' => 'effects', 'line' => 0, 'name' => 'shade', 'value' => 'red'], 'offers no "shade"'], [['op' => 'set-choice', 'id' => 'word', 'list' => 'masks', 'line' => 0, 'name' => 'kind', 'value' => 'star'], 'does not have that line'],
    [['op' => 'name-colour', 'colour' => '#123456', 'name' => 'Rust'], 'is called "Rust" already'], [['op' => 'rename-colour', 'from' => 'Bone', 'to' => 'Oat'], 'no colour called "Bone"'],
    [['op' => 'rename-colour', 'from' => 'Rust', 'to' => 'Rust'], 'already'], [['op' => 'remove-colour', 'name' => 'Bone'], 'no colour called "Bone"'],
]);

it('refuses hostile values with their path', function (mixed $operations, string $says): void {
    expect(fn () => Operations::read($operations))->toThrow(ArtworkInvalid::class, $says);
})->with([
    [null, 'operations: must be a list'], [[], 'holds none'], [['x'], 'operations[0]'], [[['op' => 'move', 'ids' => 'a', 'dx' => 1, 'dy' => 1]], 'operations[0].ids: must be a list'],
    [[['op' => 'move', 'ids' => ['a'], 'dx' => INF, 'dy' => 1]], 'operations[0].dx'], [[['op' => 'scale', 'ids' => ['a'], 'by' => 0]], 'operations[0].by'], [[['op' => 'turn', 'ids' => ['a'], 'degrees' => 10, 'x' => 1]], 'operations[0].x: is not known here'],
    [[['op' => 'add', 'source' => ['kind' => 'group', 'layers' => [['id' => 'a']]]]], 'operations[0].source.layers'], [[['op' => 'add-effect', 'id' => 'a', 'line' => ['kind' => 'sparkle']]], 'operations[0].line.kind'],
    [[['op' => 'take-out', 'id' => '../x', 'points' => []]], 'operations[0].id'], [array_fill(0, 201, ['op' => 'group', 'ids' => []]), '200 is the most'],
]);

it('refuses what an operation brought out of its bounds, and leaves the sheet', function (): void {
    expect(fn () => operated(desk(), ['op' => 'scale', 'ids' => ['plate'], 'by' => 100]))->toThrow(ArtworkInvalid::class, 'layers[0].placement.width')
        ->and(fn () => operated(desk(), ['op' => 'add-effect', 'id' => 'word', 'line' => ['kind' => 'fill', 'colour' => '@Nowhere']]))->toThrow(ArtworkInvalid::class, 'names the swatch "Nowhere"');
});
