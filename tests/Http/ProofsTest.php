<?php

declare(strict_types=1);

use App\Models\Role;
use App\Models\Shop;
use App\People\Accounts;
use Illuminate\Support\Facades\DB;
use TallCrow\Render\DrawingCode;
use TallCrow\Tests\Fixtures;

it('draws the sheet at any ppi, a part of it, and without a line', function (): void {
    $job = $this->job([Fixtures::shape('below', 'rectangle', 2, '#ff0000'), Fixtures::shape('above', 'ellipse', 1, '#0000ff')]);
    $draw = function (string $query) use ($job): array {
        $png = $this->get("/api/revisions/{$job->head_id}/proof.png?$query")->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
        $path = Fixtures::temporary('proof').'/p.png';
        file_put_contents($path, $png);
        [$width, $height] = (array) getimagesize($path);

        return [$width, $height, Fixtures::run(['convert', $path, '-format', '%[pixel:p{'.intdiv($width, 2).','.intdiv($height, 2).'}]', 'info:'])];
    };
    expect($draw('ppi=60'))->toBe([180, 240, 'srgba(0,0,255,1)'])
        ->and($draw('ppi=60&without=above'))->toBe([180, 240, 'srgba(255,0,0,1)'])
        ->and($draw('ppi=300&left=400&top=500&width=100&height=200'))->toBe([100, 200, 'srgba(0,0,255,1)'])
        ->and($draw('ppi=9999')[0])->toBe(900);
});

it('may be kept by the browser, which asks whether it is still right', function (): void {
    $url = "/api/revisions/{$this->job()->head_id}/proof.png";
    $first = $this->get($url)->assertOk();
    expect($first->headers->get('Cache-Control'))->toContain('private')->toContain('max-age=10');
    $kept = ['If-None-Match' => (string) $first->headers->get('ETag')];
    $again = $this->get($url, $kept)->assertStatus(304);
    expect($again->getContent())->toBe('')->and($again->headers->get('ETag'))->toBe($kept['If-None-Match']);
    $this->get($url, ['If-None-Match' => '"of something else"'])->assertOk();
});

it('is drawn anew after an upgrade, for other data with the same numbers, and when the shelf has more', function (string $what): void {
    $forget = fn () => (new ReflectionProperty(DrawingCode::class, 'known'))->setValue(null, []);
    $forget();
    $job = $this->job();
    $url = "/api/revisions/$job->head_id/proof.png";
    $kept = ['If-None-Match' => (string) $this->get($url)->headers->get('ETag')];
    $this->get($url, $kept)->assertStatus(304);
    if ($what === 'shelf') {
        $this->shelve('moth.svg');
    } elseif ($what === 'data') {
        DB::table('revisions')->where('id', $job->head_id)->update(['created_at' => '2031-02-01 10:00:00']);
    } else {
        // What the core's code comes to is kept in a file until a part of it changes.
        foreach (glob($this->shop->folder('pictures').'/code-*') ?: [] as $file) {
            file_put_contents($file, str_repeat('0', 32));
        }
        $forget();
    }
    $this->get($url, $kept)->assertOk();
    $forget();
})->with(['data', 'code', 'shelf']);

it('tells a stranger nothing, though the picture is known', function (): void {
    $url = "/api/revisions/{$this->job()->head_id}/proof.png";
    $kept = ['If-None-Match' => (string) $this->get($url)->headers->get('ETag')];
    $stranger = app(Accounts::class)->add(Shop::query()->create(['name' => 'Tide-pool rangers']), Role::Owner, 'Limpet', 'limpet', null);
    $this->signIn($stranger)->get($url, $kept)->assertNotFound();
});

it('refuses proofs that are off the sheet or beyond reason', function (): void {
    $job = $this->job();
    $this->getJson("/api/revisions/{$job->head_id}/proof.png?left=5000&top=0&width=10&height=10")->assertNotFound();
    $this->getJson('/api/revisions/999/proof.png')->assertNotFound();
});

it('draws one line alone, and says what lies under a point', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2), ['role' => ['kind' => 'knockout', 'gap' => 0.05]] + Fixtures::shape('hole', 'ellipse', 1), Fixtures::shape('star', 'star', 0.5)]);
    $this->get("/api/revisions/{$job->head_id}/layers/star.png?ppi=60")->assertOk()->assertHeader('Content-Type', 'image/png');
    $this->get("/api/revisions/{$job->head_id}/layers/hole.png?ppi=60")->assertOk();
    $this->getJson("/api/revisions/{$job->head_id}/layers/none.png")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/pick?x=1.5&y=2")->assertExactJson(['layers' => ['star', 'hole', 'plate']]);
});

it('measures a revision against its job\'s print area, and mends', function (): void {
    $job = $this->job([Fixtures::shape('weak', 'rectangle', 2, '#f3ead7', ['opacity' => 0.5])]);
    $report = $this->getJson("/api/revisions/{$job->head_id}/preflight")->assertOk()->json();
    $haze = collect($report['findings'])->firstWhere('key', 'haze');
    expect($haze['verdict'])->toBe('fail')->and($haze['mends'])->toBe([
        ['says' => 'Print the fade of Rectangle as halftone', 'operations' => [['op' => 'as-halftone', 'ids' => ['weak']]]],
        ['says' => 'Print Rectangle at full strength', 'operations' => [['op' => 'set-opacity', 'id' => 'weak', 'opacity' => 1]]],
    ]);

    // A mend is carried out as it was shown.
    $mended = $this->postJson("/api/jobs/{$job->id}/operations", ['version' => 1, 'operations' => $haze['mends'][1]['operations']])->assertOk()->json();
    expect($mended['artwork']['layers'][0]['opacity'])->toEqual(1)->and($mended['canUndo'])->toBeTrue();
    $this->postJson("/api/jobs/{$job->id}/operations", ['version' => 1, 'operations' => $haze['mends'][1]['operations']])->assertConflict();
});
