<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;

/** @return array{int, int, string} width, height, and the pixel at a place, by ImageMagick */
function png_pixel(string $png, int $x, int $y): array
{
    $path = Fixtures::temporary('line').'/p.png';
    file_put_contents($path, $png);
    [$width, $height] = (array) getimagesize($path);

    return [$width, $height, Fixtures::run(['convert', $path, '-format', "%[pixel:p{{$x},{$y}}]", 'info:'])];
}

/**
 * @param  list<array<string, mixed>>  $effects
 * @return array<string, mixed>
 */
function scan(array $effects): array
{
    return ['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth-scan.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2.0], 'effects' => $effects];
}

it('shows a picture as the lines before one leave it, for its corners to be placed on', function (): void {
    $this->shelve('moth-scan.png');
    $job = $this->job([scan([['kind' => 'crop', 'left' => 0.5], ['kind' => 'straighten', 'x1' => 0.1]])]);
    [$width, $height] = getimagesize(Fixtures::assets().'/moth-scan.png');
    $before = fn (int $line): array => png_pixel($this->get("/api/revisions/{$job->head_id}/layers/moth/before/$line.png")->assertOk()->getContent(), 0, 0);
    // No larger than a screen shows; the cropped one half as wide in proportion.
    expect(max($before(0)[0], $before(0)[1]))->toBe(min(1100, max($width, $height)))
        ->and($before(0)[0] / $before(0)[1])->toEqualWithDelta($width / $height, 0.005)
        ->and($before(1)[0] / $before(1)[1])->toEqualWithDelta($width / $height / 2, 0.005);
    $this->getJson("/api/revisions/{$job->head_id}/layers/moth/before/2.png")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/layers/none/before/0.png")->assertNotFound();
});

it('has no such picture of what is no raster', function (): void {
    $this->shelve('raven.svg');
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, more: ['effects' => [['kind' => 'outline']]]), ['id' => 'raven', 'source' => ['kind' => 'art', 'file' => 'raven.svg'], 'placement' => ['x' => 1, 'y' => 1, 'width' => 1], 'effects' => [['kind' => 'outline']]]]);
    $this->getJson("/api/revisions/{$job->head_id}/layers/plate/before/0.png")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/layers/raven/before/0.png")->assertNotFound();
});

it('shows what a line would leave of a picture, were it drawn on so, and saves nothing', function (): void {
    $this->shelve('moth-scan.png');
    $job = $this->job([scan([['kind' => 'crop', 'left' => 0.1], ['kind' => 'subject']])]);
    $left = fn (array $scribbles): string => $this->postJson("/api/revisions/{$job->head_id}/layers/moth/scribbled/1.png", ['scribbles' => $scribbles])->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
    // Nothing drawn, all of it is there; the moth kept, the paper in the corner is gone and the moth's middle is not.
    expect(png_pixel($left([]), 5, 5)[2])->toStartWith('srgb');
    $kept = $left([['points' => [[0.45, 0.5], [0.55, 0.5]], 'width' => 0.06, 'keeps' => true]]);
    [$width, $height, $corner] = png_pixel($kept, 2, 2);
    expect(max($width, $height))->toBeLessThanOrEqual(720)->and($corner)->toEndWith(',0)')
        ->and(png_pixel($kept, intdiv($width, 2), intdiv($height, 2))[2])->not->toEndWith(',0)')
        ->and($job->refresh()->head?->read()->layers[0]->effects[1]->values->toArray())->toBe([]);
    $this->postJson("/api/revisions/{$job->head_id}/layers/moth/scribbled/1.png", ['scribbles' => [['points' => [['x', 0.5]], 'width' => 7]]])->assertUnprocessable();
    $this->postJson("/api/revisions/{$job->head_id}/layers/moth/scribbled/0.png", ['scribbles' => []])->assertNotFound();
    $this->postJson("/api/revisions/{$job->head_id}/layers/moth/scribbled/2.png", ['scribbles' => []])->assertNotFound();
});

it('tells the buckets of the line that hides some, as the lines before leave the picture', function (): void {
    $this->shelve('moth-scan.png');
    $job = $this->job([scan([['kind' => 'clear-edge', 'tolerance' => 22], ['kind' => 'clear-buckets', 'count' => 3]])]);
    $buckets = $this->getJson("/api/revisions/{$job->head_id}/layers/moth/buckets/1")->assertOk()->json();
    expect($buckets)->toHaveCount(3)->and(array_sum(array_column($buckets, 'share')))->toEqualWithDelta(1, 0.01);
    // The moth's own three inks: the paper has gone with the line before.
    expect(array_column($buckets, 'colour'))->toBe(['#d9a441', '#3a2a20', '#f3ead7']);
    $this->getJson("/api/revisions/{$job->head_id}/layers/moth/buckets/0")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/layers/moth/buckets/7")->assertNotFound();
});

it('shows in a loud colour what a mask takes, and the mask alone', function (): void {
    $mask = ['kind' => 'rectangle', 'x' => 0.25, 'y' => 0.5, 'width' => 0.5, 'height' => 1];
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, more: ['masks' => [$mask]]), Fixtures::shape('bare', 'ellipse', 1)]);
    $show = fn (string $layer, string $what): string => (string) $this->get("/api/revisions/{$job->head_id}/layers/$layer.png?ppi=60&show=$what")->assertOk()->getContent();
    // The plate lies from 0.5 to 2.5 in across; the mask keeps its left half.
    expect(png_pixel($show('plate', 'taken'), 120, 120)[2])->toBe('srgba(255,0,200,1)')
        ->and(png_pixel($show('plate', 'taken'), 60, 120)[2])->toEndWith(',0)')
        ->and(png_pixel($show('plate', 'mask'), 60, 120)[2])->toStartWith('srgba(255,255,255,')
        ->and(png_pixel($show('plate', 'mask'), 120, 120)[2])->toStartWith('srgba(0,0,0,');
    $this->getJson("/api/revisions/{$job->head_id}/layers/bare.png?show=mask")->assertNotFound();
});

it('shows what wear of the whole sheet takes, and only where there was ink', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2)], distress: [['texture' => 'speckle', 'amount' => 0.5, 'seed' => 4]]);
    $path = Fixtures::temporary('taken').'/t.png';
    file_put_contents($path, $this->get("/api/revisions/{$job->head_id}/taken.png?ppi=60")->assertOk()->getContent());
    // Half of the plate, which is 2 × 2 in of the 3 × 4 in sheet: a sixth of it.
    expect((float) Fixtures::run(['convert', $path, '-alpha', 'extract', '-format', '%[fx:mean]', 'info:']))->toEqualWithDelta(1 / 6, 0.01)
        ->and((float) Fixtures::run(['convert', $path, '-alpha', 'extract', '-crop', '25x240+0+0', '-format', '%[fx:mean]', 'info:']))->toBe(0.0);
});

it('tells the colour under a point, and none where there is cloth', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#9c3d1c')]);
    $this->getJson("/api/revisions/{$job->head_id}/colour?x=1.5&y=2")->assertExactJson(['colour' => '#9c3d1c']);
    $this->getJson("/api/revisions/{$job->head_id}/colour?x=0.1&y=0.1")->assertExactJson(['colour' => null]);
    $this->getJson("/api/revisions/{$job->head_id}/colour?x=-4&y=99")->assertExactJson(['colour' => null]);
});

it('says on its line that typed corners cross, and keeps the sheet and all else of it', function (array $corners): void {
    $this->shelve('moth-scan.png');
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#9c3d1c'), scan([['kind' => 'straighten'] + $corners])]);
    $measures = collect($this->getJson("/api/jobs/{$job->id}")->assertOk()->json('measures'));
    expect($measures->firstWhere('id', 'moth')['trouble'])->toContain('corners to straighten by cross')->and($measures->firstWhere('id', 'plate')['trouble'])->toBeNull();
    $this->get("/api/revisions/{$job->head_id}/proof.png?ppi=60")->assertOk();
    $this->getJson("/api/revisions/{$job->head_id}/preflight")->assertOk();
    // The dialog that mends it still shows the picture.
    $this->get("/api/revisions/{$job->head_id}/layers/moth/before/0.png")->assertOk();
})->with([
    'crossed' => [['x1' => 1.0, 'x2' => 0.0]], 'folded in' => [['x3' => 0.2, 'y3' => 0.2]], 'in one point' => [['x1' => 0.5, 'y1' => 0.5, 'x2' => 0.5, 'y2' => 0.5, 'x3' => 0.5, 'y3' => 0.5, 'x4' => 0.5, 'y4' => 0.5]],
]);
