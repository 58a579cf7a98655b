<?php

declare(strict_types=1);

use App\Bench\ExportClaim;
use App\Drawing\PrintProcess;
use App\Drawing\PrintStopped;
use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use App\Upkeep\Sweeper;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use TallCrow\Tests\Fixtures;

it('exports as a queued job and hands out the file with its figures', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)], 'Bell ringers’ night');
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    $export = $this->getJson("/api/exports/$id")->assertOk()->json();
    expect($export)->toMatchArray(['state' => 'done', 'progress' => 100, 'file' => 'bell-ringers-night.png'])
        ->and($export['figures'])->toMatchArray(['width' => 900, 'height' => 1200, 'ppi' => 300, 'inches' => [3, 4]])
        ->and(array_column($export['figures']['checks'], 'key'))->toContain('blank', 'sheet', 'edge');
    $download = $this->get("/api/exports/$id/file")->assertOk()->assertDownload('bell-ringers-night.png');
    expect(hash_file('sha256', $download->baseResponse->getFile()->getPathname()))->toBe($export['figures']['sha256']);
    $this->getJson("/api/jobs/{$job->id}/exports")->assertJsonCount(1);
    $this->getJson('/api/jobs')->assertJsonPath('0.state', 'exported');
});

it('exports what was saved when it was asked for, whatever came after', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'rectangle', 2, '#ff0000')]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    $this->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => ['layers' => []] + $job->head->read()->toArray()])->assertOk();
    (new ExportArtwork($id))->handle();
    $path = Export::query()->findOrFail($id)->path();
    expect(Fixtures::run(['convert', $path, '-format', '%[pixel:p{450,600}]', 'info:']))->toBe('srgba(255,0,0,1)');
});

it('cancels one that waits at once, and one that runs at its next step', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    $this->deleteJson("/api/exports/$id")->assertOk()->assertJsonPath('state', 'cancelled');
    (new ExportArtwork($id))->handle();
    expect(Export::query()->findOrFail($id)->state)->toBe(ExportState::Cancelled);

    $running = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    Export::query()->whereKey($running)->update(['state' => ExportState::Running]);
    $this->deleteJson("/api/exports/$running")->assertJsonPath('state', 'cancelling');
    (new ExportArtwork($running))->handle();
    $ended = Export::query()->findOrFail($running);
    expect($ended->state)->toBe(ExportState::Cancelled)->and(is_file($ended->path()))->toBeFalse();
    $this->getJson("/api/exports/$running/file")->assertNotFound();
});

it('leaves an export to whoever works in its folder, however long it shows no sign of life', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    Export::query()->whereKey($id)->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 30, 'beat_at' => now()->subMinutes(5)]);
    $left = $this->shop->folder("scratch/$id").'/left.v';
    file_put_contents($left, 'half');
    $worker = fopen($this->shop->folder('scratch')."/$id.lock", 'c');
    flock($worker, LOCK_EX);
    (new ExportArtwork($id))->handle();
    expect(is_file($left))->toBeTrue()->and(Export::query()->findOrFail($id)->progress)->toBe(30);
    // Once that has ended, as it is, the next one makes it.
    fclose($worker);
    (new ExportArtwork($id))->handle();
    expect(Export::query()->findOrFail($id)->state)->toBe(ExportState::Done)->and(glob($this->shop->folder('scratch')."/$id*"))->toBe([]);
});

it('finishes an export that a worker left in the middle', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    // As a killed worker leaves it: running, half way, pieces in its scratch folder.
    Export::query()->whereKey($id)->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 30, 'beat_at' => now()->subMinute()]);
    file_put_contents($this->shop->folder("scratch/$id").'/left.v', 'half');
    (new ExportArtwork($id))->handle();
    expect(Export::query()->findOrFail($id)->state)->toBe(ExportState::Done)->and(is_dir($this->shop->folder('scratch')."/$id"))->toBeFalse();
});

it('is made by one worker, however often it was queued', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    $export = Export::query()->findOrFail($id);
    expect(ExportClaim::claim($export))->toBeTrue()->and(ExportClaim::claim($export))->toBeFalse();
    (new ExportArtwork($id))->handle();
    expect(Export::query()->findOrFail($id)->state)->toBe(ExportState::Running);
    $this->travel(30)->seconds();
    (new ExportArtwork($id))->handle();
    expect(Export::query()->findOrFail($id)->state)->toBe(ExportState::Done);
});

it('lets one shop have one export made at a time', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    [$first, $second] = [$this->postJson("/api/jobs/{$job->id}/exports")->json('id'), $this->postJson("/api/jobs/{$job->id}/exports")->json('id')];
    ExportClaim::claim(Export::query()->findOrFail($first));
    expect(ExportClaim::shopIsBusy(Export::query()->findOrFail($second)))->toBeTrue();
    $this->travel(30)->seconds();
    expect(ExportClaim::shopIsBusy(Export::query()->findOrFail($second)))->toBeFalse();
});

it('queues again an export that lost its place', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    expect(ExportClaim::findForgotten())->toBe(0);
    $this->travel(61)->seconds();
    expect(ExportClaim::findForgotten())->toBe(1)->and(ExportClaim::findForgotten())->toBe(0);
    Queue::assertPushed(ExportArtwork::class, 2);
});

it('ends an export from outside: at its limit of time, and as soon as it hears that it is cancelled', function (): void {
    Queue::fake();
    $job = $this->job(array_map(fn (int $n): array => Fixtures::shape("s$n", 'star', 2, more: ['distress' => [['texture' => 'cracks', 'amount' => 0.3]]]), range(1, 4)));
    $late = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    config(['crow.limits.print_seconds' => 0]);
    (new ExportArtwork($late))->handle();
    $ended = Export::query()->findOrFail($late);
    expect($ended->state)->toBe(ExportState::Failed)->and($ended->trouble)->toContain('was stopped after 0 s')->and(is_dir($ended->scratch()))->toBeFalse();

    config(['crow.limits.print_seconds' => 60]);
    $export = Export::query()->findOrFail($this->postJson("/api/jobs/{$job->id}/exports")->json('id'));
    ExportClaim::claim($export);
    $asked = 0;
    $wanted = function () use (&$asked): bool {
        return ++$asked < 2;
    };
    expect(fn () => (new PrintProcess($export->load(['revision', 'job', 'shop'])))->run(fn () => null, $wanted))->toThrow(PrintStopped::class)
        ->and($asked)->toBe(2)->and(is_file($export->path()))->toBeFalse();
});

it('says of an export that took too much memory what it was drawing', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    config(['crow.limits.memory_mb' => 170]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    expect($this->getJson("/api/exports/$id")->json('trouble'))->toContain('more memory');
});

it('sweeps what dead processes and deleted jobs left, and nothing else', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    $left = [$this->shop->folder('exports').'/9999.png', $this->shop->folder('scratch/77').'/left.v', $this->shop->folder('pictures').'/p1.lock', $this->shop->folder('unpacking/a').'/x'];
    foreach ($left as $file) {
        file_put_contents($file, 'x');
        touch($file, time() - 7200);
        touch(dirname($file), time() - 7200);
    }
    $young = $this->shop->folder('scratch/78').'/busy.v';
    file_put_contents($young, 'x');
    touch(Export::query()->findOrFail($id)->path(), time() - 7200);
    expect((new Sweeper)->folders())->toBe(4);
    clearstatcache();
    expect(array_filter($left, is_file(...)))->toBe([])->and(is_file($young))->toBeTrue()->and(is_file(Export::query()->findOrFail($id)->path()))->toBeTrue();
});

it('puts back what a dead worker had reserved', function (): void {
    DB::table('jobs')->insert(['queue' => 'default', 'payload' => '{}', 'attempts' => 1, 'reserved_at' => time(), 'available_at' => time(), 'created_at' => time()]);
    config(['queue.default' => 'database']);
    $this->artisan('crow:work', ['--only-recover' => true])->assertSuccessful();
    expect(DB::table('jobs')->value('reserved_at'))->toBeNull();
});

it('says why an export failed, without trying again', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job([Fixtures::words('w', 'жук', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    $export = $this->getJson("/api/exports/$id")->json();
    expect($export['state'])->toBe('failed')->and($export['trouble'])->toContain('has no ж');
});

it('hands a design out as OpenRaster and as outlines, and says what keeps it from being outlines', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')]);
    $layered = $this->postJson("/api/jobs/{$job->id}/exports", ['kind' => 'ora'])->assertCreated()->json();
    $this->get("/api/exports/{$layered['id']}/file")->assertOk()->assertHeader('Content-Type', 'image/openraster')->assertDownload('bell-ringers.ora');
    $cut = $this->postJson("/api/jobs/{$job->id}/exports", ['kind' => 'svg', 'cut' => 0.125])->assertCreated()->json();
    $answer = $this->get("/api/exports/{$cut['id']}/file")->assertOk()->assertHeader('Content-Type', 'image/svg+xml');
    expect((string) file_get_contents($answer->baseResponse->getFile()->getPathname()))->toContain('id="cut"');
    $this->postJson("/api/jobs/{$job->id}/exports", ['kind' => 'psd'])->assertJsonValidationErrors('kind');
    $this->postJson("/api/jobs/{$job->id}/exports", ['kind' => 'svg', 'cut' => 9])->assertJsonValidationErrors('cut');

    $faint = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7', ['opacity' => 0.5])]);
    $refused = $this->postJson("/api/jobs/{$faint->id}/exports", ['kind' => 'svg'])->assertCreated()->json('id');
    expect($this->getJson("/api/exports/$refused")->json())->toMatchArray(['state' => 'failed'])->and($this->getJson("/api/exports/$refused")->json('trouble'))->toContain('half-transparent');
});
