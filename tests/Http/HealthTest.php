<?php

declare(strict_types=1);

use App\Upkeep\Room;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use TallCrow\Tests\Fixtures;

it('is well when database, cache and disk are, and says which part is not', function (): void {
    $this->getJson('/up')->assertOk()->assertExactJson(['database' => 'well', 'cache' => 'well', 'storage' => 'well']);
    config(['crow.storage' => '/dev/null/shops']);
    $this->getJson('/up')->assertStatus(503)->assertJson(['storage' => 'not well', 'database' => 'well']);
    Cache::shouldReceive('put')->andThrow(new RuntimeException('gone'));
    Log::shouldReceive('error');
    $this->getJson('/up')->assertStatus(503)->assertJson(['cache' => 'not well']);
});

it('has no figures for anybody until a token is set, and then for its bearer alone', function (): void {
    $this->get('/metrics')->assertNotFound();
    config(['crow.metrics_token' => 'for-the-monitor']);
    $this->get('/metrics')->assertUnauthorized();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $this->get("/api/revisions/{$job->head_id}/proof.png?ppi=30")->assertOk();
    $this->post('/api/assets', ['file' => UploadedFile::fake()->createWithContent('a.png', 'no picture'), 'licence' => 'own', 'held' => '1'])->assertUnprocessable();
    $text = (string) $this->withToken('for-the-monitor')->get('/metrics')->assertOk()->assertHeader('Content-Type', 'text/plain; version=0.0.4; charset=utf-8')->getContent();
    expect($text)->toContain('tallcrow_draw_seconds_count{what="proof"} 1')->toContain('tallcrow_refused_total{what="upload"} 1')->toContain('tallcrow_queue_length 0');
    // Each line is a comment, or a name with labels and a number.
    foreach (array_filter(explode("\n", $text)) as $line) {
        expect($line)->toMatch('/^(# TYPE [a-z_]+ (gauge|counter|histogram)|[a-z_]+(\{[a-z]+="[^"]*"(,[a-z]+="[^"]*")*\})? [0-9.]+)$/');
    }
});

it('keeps the last room for saves, and says what is full', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    expect(Room::isFor($this->shop->folder('exports'), 0))->toBeTrue()->and(Room::isFor($this->shop->folder('exports'), PHP_INT_MAX))->toBeFalse();
    config(['crow.limits.reserve_mb' => PHP_INT_MAX]);
    $this->postJson("/api/jobs/{$job->id}/exports")->assertStatus(507)->assertJsonPath('message', fn (string $said): bool => str_contains($said, 'exports is full'));
    $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => ['title' => 'Still saved'] + $job->head->read()->toArray()])->assertOk();
    // Of what is kept at most half stays.
    expect(Room::forPictures($this->shop->folder('pictures')))->toBeLessThan(10_000);
    config(['crow.limits.reserve_mb' => 1]);
    expect(Room::forPictures($this->shop->folder('pictures')))->toBeGreaterThan(0)->toBeLessThanOrEqual(1_500_000_000);
});

it('draws the small picture of a list once', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $first = (string) $this->get("/api/revisions/{$job->head_id}/proof.png?ppi=20")->assertOk()->getContent();
    $kept = glob($this->shop->folder('pictures').'/s*') ?: [];
    expect($kept)->toHaveCount(1)->and(file_get_contents($kept[0]))->toBe($first);
    file_put_contents($kept[0], 'as it was kept');
    expect($this->get("/api/revisions/{$job->head_id}/proof.png?ppi=20")->getContent())->toBe('as it was kept')
        ->and($this->get("/api/revisions/{$job->head_id}/proof.png?ppi=40")->getContent())->not->toBe('as it was kept');
});

it('answers a list of two hundred jobs from few questions to the database', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    foreach (range(1, 199) as $n) {
        $copy = $job->replicate();
        $copy->save();
    }
    DB::enableQueryLog();
    expect($this->getJson('/api/jobs')->assertOk()->json())->toHaveCount(200)->and(count(DB::getQueryLog()))->toBeLessThan(6);
});
