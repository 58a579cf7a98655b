<?php

declare(strict_types=1);

use App\Bench\Briefs;
use App\Bench\Shelving;
use App\Jobs\DrawAhead;
use App\Models\Asset;
use App\Models\PrintJob;
use App\Models\Shop;
use App\People\Accounts;
use App\Rights\JobRights;
use App\Rights\SalesBook;
use Database\Seeders\DatabaseSeeder;
use Demo\DemoLicences;
use Illuminate\Support\Facades\Queue;

it('seeds the demo shop once, with its licences', function (): void {
    auth('web')->logout();
    auth()->forgetGuards();
    Shop::query()->delete();
    $seed = fn () => (new DatabaseSeeder)->run(app(Briefs::class), app(Shelving::class), app(Accounts::class), app(DemoLicences::class));
    $seed();
    $shop = Shop::query()->firstOrFail();
    expect($shop->name)->toBe('Lantern & Rook')
        ->and($shop->jobs()->pluck('title')->all())->toContain('Quarry Road kite day', 'Bell ringers, stacked wave', 'Tide pool, letters of paper', 'Kite society, four squares', 'Lantern & Rook varsity', 'Moth night lantern, burst')
        ->and($shop->assets()->where('kind', 'font')->distinct()->count('genre'))->toBeGreaterThan(9)
        ->and($shop->assets()->where('licence_name', '')->count())->toBe(0)
        ->and($shop->assets()->where('licence_author', '')->count())->toBe(0);
    // Each verdict is seen at once, and nothing is without proof.
    $rulings = $shop->jobs()->with(['head', 'shop'])->get()->flatMap(fn (PrintJob $job): array => array_values(JobRights::of($job, $job->head->read(), app(SalesBook::class))->rulings()))->unique()->sort()->values()->all();
    expect($rulings)->toBe(['allowed', 'allowed-with-duties', 'look', 'not-allowed'])->and($shop->licences()->doesntHave('proofs')->count())->toBe(0)->and($shop->assets()->whereNull('licence_id')->count())->toBe(0);
    $count = Asset::query()->count();
    $seed();
    expect(Asset::query()->count())->toBe($count)->and(Shop::query()->count())->toBe(1);
});

it('has the newest designs of every shop drawn before somebody opens them', function (): void {
    Queue::fake();
    $one = $this->job(title: 'One');
    PrintJob::query()->whereKey($one->id)->update(['updated_at' => now()->addDay()]);
    foreach (range(1, 30) as $at) {
        $this->job(title: "More $at");
    }
    $this->artisan('crow:ahead')->assertSuccessful();
    $pushed = Queue::pushed(DrawAhead::class);
    expect($pushed)->toHaveCount(24)->and($pushed[0])->toEqual(new DrawAhead($one->head_id))->and($pushed[0]->queue)->toBe('later');
});

it('has at hand what a bench asks for first of a design that was drawn ahead', function (): void {
    $this->shelve('anton.woff2');
    $job = $this->job([['id' => 'w', 'source' => ['kind' => 'text', 'text' => 'MOTH', 'font' => 'anton.woff2'], 'placement' => ['x' => 5, 'y' => 5, 'width' => 6, 'height' => null], 'effects' => [['kind' => 'paper', 'paper' => 'linen']]]]);
    (new DrawAhead($job->head_id))->handle();
    $drawn = fn (): array => array_map(basename(...), array_filter(glob($job->shop->folder('pictures').'/[pist]*') ?: [], is_file(...)));
    $before = $drawn();
    foreach (['proof.png?ppi=20', 'proof.png?ppi=30', 'proof.png?ppi=50', 'preflight'] as $asked) {
        $this->get("/api/revisions/{$job->head_id}/$asked")->assertOk();
    }
    expect($before)->not->toBe([])->and($drawn())->toBe($before);
    // What was changed meanwhile is left to the bench.
    $old = $job->head_id;
    $job->update(['head_id' => null]);
    array_map(unlink(...), glob($job->shop->folder('pictures').'/[pist]*') ?: []);
    (new DrawAhead($old))->handle();
    expect($drawn())->toBe([]);
});

it('keeps of every row the shop that it belongs to', function (): void {
    $job = $this->job();
    $this->shelve('moth.svg');
    $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    foreach (['print_jobs', 'revisions', 'exports', 'assets'] as $table) {
        $this->assertDatabaseHas($table, ['shop_id' => $this->shop->id]);
        $this->assertDatabaseMissing($table, ['shop_id' => null]);
    }
});

it('lists jobs with the newest change first', function (): void {
    $older = $this->job(title: 'Older');
    $newer = $this->job(title: 'Newer');
    PrintJob::query()->whereKey($older->id)->update(['updated_at' => now()->subHour()]);
    expect($this->getJson('/api/jobs')->json('*.title'))->toBe(['Newer', 'Older']);
    PrintJob::query()->whereKey($newer->id)->update(['updated_at' => now()->subDay()]);
    expect($this->getJson('/api/jobs')->json('*.title'))->toBe(['Older', 'Newer']);
});

it('names the job after its sheet\'s title', function (): void {
    $job = $this->job(title: 'Before');
    $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => ['title' => 'After'] + $job->head->read()->toArray()])->assertOk()->assertJsonPath('title', 'After');
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => 2])->assertJsonPath('title', 'Before');
});

it('steps neither before the first nor beyond the last revision', function (): void {
    $job = $this->job();
    foreach (['undo', 'redo'] as $action) {
        $this->postJson("/api/jobs/{$job->id}/$action", ['version' => 1])->assertOk()->assertJsonPath('version', 1)->assertJsonPath('revision', $job->head_id);
    }
});

it('asks every change for the version it started from', function (string $method, string $path): void {
    $job = $this->job();
    $this->json($method, "/api/jobs/{$job->id}/$path", ['artwork' => $job->head->read()->toArray()])->assertUnprocessable()->assertJsonValidationErrors('version');
})->with([['PUT', 'artwork'], ['POST', 'undo'], ['POST', 'redo'], ['POST', 'operations']]);

it('runs the same checks over HTTP as the core does', function (): void {
    $job = $this->job();
    expect($this->getJson("/api/revisions/{$job->head_id}/preflight")->json('findings.*.key'))->toBe(['blank', 'sheet', 'edge', 'haze', 'vanish:Slate', 'vanish:Oat'])
        ->and($this->getJson("/api/revisions/{$job->head_id}/preflight?closely=1")->json('findings.*.key'))->toContain('scraps', 'line-fine', 'gap-fine');
});
