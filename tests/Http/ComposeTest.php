<?php

declare(strict_types=1);

use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

beforeEach(fn () => $this->shelve('alfa-slab-one.woff2'));

/** @return list<array<string, mixed>> */
function three_pieces(): array
{
    return [
        Fixtures::shape('a', 'rectangle', 0.4, more: ['placement' => ['x' => 0.5, 'y' => 0.5]]),
        Fixtures::shape('b', 'ellipse', 0.6, more: ['placement' => ['x' => 1.1, 'y' => 1.7]]),
        Fixtures::shape('c', 'star', 0.9, more: ['placement' => ['x' => 2.3, 'y' => 3.1]]),
    ];
}

it('aligns, spaces, sizes, flips and groups, each a step that can be taken back', function (array $asked, string $path, float|string $value): void {
    $job = $this->job(three_pieces());
    $answer = $this->postJson("/api/jobs/{$job->id}/operations", ['version' => $job->version, 'operations' => [$asked + ['ids' => ['a', 'b', 'c']]]])->assertOk();
    $found = $answer->json("artwork.$path");
    is_string($value) ? expect($found)->toBe($value) : expect($found)->toEqualWithDelta($value, 1e-6);
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => $answer->json('version')])->assertOk()->assertJsonPath('artwork.layers.0.placement.x', 0.5)->assertJsonCount(3, 'artwork.layers');
})->with([
    [['op' => 'align', 'edge' => 'left', 'to' => 'selection'], 'layers.1.placement.x', 0.6],
    [['op' => 'align', 'edge' => 'middle', 'to' => 'sheet'], 'layers.2.placement.x', 1.5],
    [['op' => 'align', 'edge' => 'middle', 'to' => 'c'], 'layers.0.placement.x', 2.3],
    [['op' => 'space', 'way' => 'down', 'gap' => 0.1], 'layers.1.placement.y', 1.1],
    [['op' => 'scale', 'by' => 2], 'layers.0.placement.width', 0.8],
    [['op' => 'flip', 'way' => 'across'], 'layers.0.placement.flip', 'across'],
    [['op' => 'group'], 'layers.0.source.kind', 'group'],
]);

it('carries out several operations as one step, and says what is to be chosen then', function (): void {
    $job = $this->job(three_pieces());
    $answer = $this->postJson("/api/jobs/{$job->id}/operations", ['version' => 1, 'operations' => [['op' => 'move', 'ids' => ['a'], 'dx' => 0.25, 'dy' => 0], ['op' => 'copy', 'ids' => ['a']]]])->assertOk();
    expect($answer->json('artwork.layers.0.placement.x'))->toBe(0.75)->and($answer->json('artwork.layers'))->toHaveCount(4)
        ->and($answer->json('chosen'))->toBe([$answer->json('artwork.layers.1.id')])->and($answer->json('version'))->toBe(2);
});

it('refuses what cannot be carried out and says what to do', function (array $asked, int $status, string $says): void {
    $job = $this->job(three_pieces());
    $answer = $this->postJson("/api/jobs/{$job->id}/operations", $asked + ['version' => $job->version])->assertStatus($status);
    expect($answer->json('message'))->toContain($says);
    expect($job->refresh()->version)->toBe(1);
})->with([
    'one alone' => [['operations' => [['op' => 'align', 'edge' => 'left', 'ids' => ['a']]]], 422, '2 or more'],
    'no such edge' => [['operations' => [['op' => 'align', 'edge' => 'upper', 'ids' => ['a', 'b']]]], 422, 'operations[0].edge: must be one of'],
    'target gone' => [['operations' => [['op' => 'align', 'edge' => 'left', 'to' => 'gone', 'ids' => ['a', 'b']]]], 422, 'Choose another'],
    'line gone' => [['operations' => [['op' => 'remove', 'ids' => ['gone']]]], 422, 'Load the sheet again'],
    'no operation' => [['operations' => [['op' => 'explode']]], 422, 'operations[0].op: must be one of'],
    'none at all' => [['operations' => []], 422, 'holds none'],
    'no list' => [['operations' => 'move'], 422, 'operations: must be a list'],
    'nothing' => [[], 422, 'operations: must be a list'],
    'too far' => [['operations' => [['op' => 'move', 'ids' => ['a'], 'dx' => 150, 'dy' => 0]]], 422, 'layers[0].placement.x'],
    'stale' => [['operations' => [['op' => 'flip', 'way' => 'down', 'ids' => ['a']]], 'version' => 99], 409, ''],
]);

it('keeps named colours, and takes and gives them as a .gpl palette', function (): void {
    $job = $this->job([Fixtures::shape('a', 'rectangle', 1)]);
    $gpl = "GIMP Palette\nName: Kites\nColumns: 2\n# a note\n243 234 215\tBone\n176  74  44\tRust\n";
    $answer = $this->post("/api/jobs/{$job->id}/swatches", ['version' => $job->version, 'file' => UploadedFile::fake()->createWithContent('kites.gpl', $gpl)])->assertOk();
    expect($answer->json('artwork.swatches'))->toBe([['name' => 'Bone', 'colour' => '#f3ead7'], ['name' => 'Rust', 'colour' => '#b04a2c']]);

    $artwork = $answer->json('artwork');
    $artwork['layers'][0]['effects'] = [['kind' => 'fill', 'colour' => '@Rust', 'on' => true]];
    $answer = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => $answer->json('version'), 'artwork' => $artwork])->assertOk();
    $pixel = fn (int $revision): ?string => $this->getJson("/api/revisions/$revision/colour?x=1.5&y=2")->assertOk()->json('colour');
    expect($pixel($answer->json('revision')))->toBe('#b04a2c');

    // Changed once, changed on the line; and out it comes again.
    $artwork = $answer->json('artwork');
    $artwork['swatches'][1]['colour'] = '#2f6f73';
    $answer = $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => $answer->json('version'), 'artwork' => $artwork])->assertOk();
    expect($pixel($answer->json('revision')))->toBe('#2f6f73')
        ->and($this->getJson("/api/revisions/{$answer->json('revision')}/colour?x=0.1&y=0.1")->json('colour'))->toBeNull();
    $out = $this->get("/api/jobs/{$job->id}/swatches.gpl")->assertOk()->assertDownload('swatches.gpl')->getContent();
    expect($out)->toBe("GIMP Palette\nName: Bell ringers\nColumns: 8\n#\n243 234 215\tBone\n 47 111 115\tRust\n");
});

it('refuses a line that names a colour which the job does not have, and a broken palette', function (): void {
    $job = $this->job([Fixtures::shape('a', 'rectangle', 1)]);
    $artwork = $this->getJson("/api/jobs/{$job->id}")->json('artwork');
    $artwork['layers'][0]['effects'] = [['kind' => 'fill', 'colour' => '@Bone']];
    expect($this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => $artwork])->assertUnprocessable()->json('faults.0.reason'))->toBe('names the swatch "Bone", which the job does not have');
    foreach (["no palette\n" => 'GIMP Palette', "GIMP Palette\n300 1 1 Too red\n" => 'Line 2'] as $bad => $says) {
        expect($this->post("/api/jobs/{$job->id}/swatches", ['version' => 1, 'file' => UploadedFile::fake()->createWithContent('k.gpl', $bad)])->assertUnprocessable()->json('message'))->toContain($says);
    }
});

it('finds the palette of a picture', function (): void {
    $this->shelve('rock-pool.png');
    $id = $this->shop->assets()->where('file', 'rock-pool.png')->first()->id;
    $palette = $this->getJson("/api/assets/$id/palette?count=5")->assertOk()->json();
    expect($palette)->toHaveCount(5)->and(array_sum(array_column($palette, 'share')))->toEqualWithDelta(1.0, 1e-6)
        ->and($palette[0]['share'])->toBeGreaterThanOrEqual($palette[4]['share']);
});
