<?php

declare(strict_types=1);

use App\Jobs\ExportArtwork;
use App\Models\Export;
use App\Models\ExportState;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use TallCrow\Tests\Fixtures;

it('exports as a queued job and hands out the file with its figures', function (): void {
    $job = $this->job([Fixtures::shape('s', 'star', 2)], 'Bell ringers’ night');
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    $export = $this->getJson("/api/exports/$id")->assertOk()->json();
    expect($export)->toMatchArray(['state' => 'done', 'progress' => 100, 'file' => 'bell-ringers-night.png'])
        ->and($export['figures'])->toMatchArray(['width' => 900, 'height' => 1200, 'ppi' => 300, 'inches' => [3, 4]])
        ->and($export['figures']['checks'][0]['key'])->toBe('sheet');
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

it('finishes an export that a worker left in the middle', function (): void {
    Queue::fake();
    $job = $this->job([Fixtures::shape('s', 'star', 2)]);
    $id = $this->postJson("/api/jobs/{$job->id}/exports")->json('id');
    // As a killed worker leaves it: running, half way, pieces in its scratch folder.
    Export::query()->whereKey($id)->update(['state' => ExportState::Running, 'stage' => 'layers', 'progress' => 30]);
    file_put_contents($this->shop->folder("scratch/$id").'/left.v', 'half');
    (new ExportArtwork($id))->handle();
    expect(Export::query()->findOrFail($id)->state)->toBe(ExportState::Done)->and(is_dir($this->shop->folder('scratch')."/$id"))->toBeFalse();
});

it('puts back what a dead worker had reserved', function (): void {
    DB::table('jobs')->insert(['queue' => 'default', 'payload' => '{}', 'attempts' => 1, 'reserved_at' => time(), 'available_at' => time(), 'created_at' => time()]);
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
