<?php

declare(strict_types=1);

use App\Bench\ExportClaim;
use App\Models\Export;
use App\Models\ExportState;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> */
function lane(array $places, array $more = []): array
{
    return $more + ['format' => 'tallcrow.house/1', 'name' => 'Mill Lane', 'names' => '{title}-{place}-{width}', 'notes' => '', 'places' => $places];
}

/** @return array<string, mixed> */
function placeAt(string $place, int $width, int $height, array $more = []): array
{
    return $more + ['product' => 'Tee', 'place' => $place, 'area' => ['width' => $width, 'height' => $height, 'ppi' => 100]];
}

function plateJob(object $test): PrintJob
{
    return $test->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7', ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0]])]);
}

it('keeps houses, and writes and reads them as files and tables', function (): void {
    $house = $this->postJson('/api/houses', ['house' => json_encode(lane([placeAt('Front', 600, 800, ['margin' => 0.25])]))])->assertCreated()->json();
    expect($house)->toMatchArray(['name' => 'Mill Lane', 'names' => '{title}-{place}-{width}'])->and($house['places'][0])->toMatchArray(['key' => 'tee/front', 'margin' => 0.25, 'kind' => 'png']);
    $file = json_decode((string) $this->get("/api/houses/{$house['id']}/file.json")->assertOk()->getContent(), true);
    $this->postJson('/api/houses', ['house' => json_encode(['name' => 'A second'] + $file)])->assertCreated();
    $csv = "product,place,width,height,ppi\r\nTee,front,7 in,8 in,100\r\nMug,wrap,wide,3 in,300\r\n";
    $read = $this->post("/api/houses/{$house['id']}/areas", ['file' => UploadedFile::fake()->createWithContent('areas.csv', $csv)])->assertOk()->json();

    expect($read['taken'])->toBe(1)->and($read['problems'][0])->toContain('Row 3, column width')->and($read['house']['places'])->toHaveCount(1)->and($read['house']['places'][0]['area']['width'])->toBe(700)
        ->and((string) $this->get("/api/houses/{$house['id']}/areas.csv")->assertOk()->getContent())->toContain('Tee,front,"700 px"');
    $this->postJson('/api/houses', ['house' => '{"format":"tallcrow.house/1"}'])->assertUnprocessable()->assertJsonPath('faults.0.path', 'name');
    $this->deleteJson("/api/houses/{$house['id']}")->assertNoContent();
    expect($this->getJson('/api/houses')->json('*.name'))->toBe(['A second']);
});

it('shows a design at each house before it is sent, with what that does to it', function (): void {
    $job = plateJob($this);
    $house = $this->postJson('/api/houses', ['house' => json_encode(lane([placeAt('Front', 600, 800), placeAt('Sleeve', 150, 150, ['mirrored' => true])]))])->json('id');
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => [['house' => $house, 'place' => 'Tee/Front', 'mode' => 'contain'], ['house' => $house, 'place' => 'tee/sleeve', 'mode' => 'inches']]])->assertNoContent();
    $fits = $this->getJson("/api/revisions/{$job->head_id}/fits")->assertOk()->json();

    expect(array_column($fits, 'place'))->toBe(['tee/front', 'tee/sleeve'])->and($fits[0]['scale'])->toEqual(2)->and($fits[0]['notes'])->toBe([])->and($fits[1])->toMatchArray(['mirrored' => true, 'file' => 'bell-ringers-sleeve-150.png'])->and($fits[1]['notes'][0]['says'])->toContain('fall off the sheet');
    $png = (string) $this->get("/api/revisions/{$job->head_id}/fits.png?house=$house&place=tee/front&mode=contain")->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
    expect(getimagesizefromstring($png)[0] / getimagesizefromstring($png)[1])->toEqualWithDelta(0.75, 0.01);
    $this->getJson("/api/revisions/{$job->head_id}/fits.png?house=$house&place=none&mode=contain")->assertNotFound();
    // A ring that keeps its inches is another picture, and is told with the place.
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => [['house' => $house, 'place' => 'tee/front', 'mode' => 'contain', 'keep' => ['rings']]]])->assertNoContent();
    expect($this->getJson("/api/revisions/{$job->head_id}/fits")->json('0.keep'))->toBe(['rings'])->and($job->fresh()?->destinations[0]['keep'] ?? null)->toBe(['rings']);
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => [['house' => $house, 'place' => 'tee/front', 'mode' => 'contain', 'keep' => ['mood']]]])->assertJsonValidationErrors('destinations.0.keep.0');
});

it('makes every file that the houses want by one press, each checked, and hands them out in one zip', function (): void {
    $job = plateJob($this);
    $this->postJson("/api/jobs/{$job->id}/send")->assertJsonValidationErrors('destinations');
    $house = $this->postJson('/api/houses', ['house' => json_encode(lane([placeAt('Front', 600, 800), placeAt('Back', 600, 800, ['kind' => 'tiff']), placeAt('Film', 300, 300, ['kind' => 'pdf', 'mirrored' => true])]))])->json('id');
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => array_map(fn (string $place): array => ['house' => $house, 'place' => "tee/$place", 'mode' => 'ink'], ['front', 'back', 'film'])])->assertNoContent();
    $sent = $this->postJson("/api/jobs/{$job->id}/send")->assertCreated()->json();
    $done = Export::query()->where('batch', $sent[0]['batch'])->get();

    expect($done->pluck('file')->all())->toBe(['bell-ringers-front-600.png', 'bell-ringers-back-600.tif', 'bell-ringers-film-300.pdf'])->and($done->pluck('state')->unique()->all())->toBe([ExportState::Done]);
    $path = Fixtures::temporary('send').'/files.zip';
    copy($this->get("/api/jobs/{$job->id}/send/{$sent[0]['batch']}/files.zip")->assertOk()->baseResponse->getFile()->getPathname(), $path);
    $zip = new ZipArchive;
    $zip->open($path);
    foreach ($done as $export) {
        // Each as it was written: by its hash, which the log keeps.
        expect(hash('sha256', (string) $zip->getFromName($export->file)))->toBe($export->sha256, $export->file);
    }
    expect($done[0]->figures)->toMatchArray(['width' => 600, 'height' => 800])->and($done[2]->figures['report']['findings'])->not->toBeEmpty();
    $this->get("/api/exports/{$done[1]->id}/file")->assertOk()->assertHeader('Content-Type', 'image/tiff');
    $this->getJson("/api/jobs/{$job->id}/send/none/files.zip")->assertNotFound();
});

it('tells what cannot be sent any more, and begins again what failed', function (): void {
    $job = plateJob($this);
    $house = $this->postJson('/api/houses', ['house' => json_encode(lane([placeAt('Front', 300, 400)]))])->json('id');
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => [['house' => $house, 'place' => 'tee/front', 'mode' => 'ink']]])->assertNoContent();
    $batch = $this->postJson("/api/jobs/{$job->id}/send")->assertCreated()->json('0.batch');
    Export::query()->where('batch', $batch)->update(['state' => ExportState::Failed]);
    $this->putJson("/api/houses/$house", ['house' => json_encode(lane([placeAt('Back', 300, 400)]))])->assertOk();
    $this->postJson("/api/jobs/{$job->id}/send/$batch/again")->assertCreated();
    expect(Export::query()->where('batch', $batch)->sole())->state->toBe(ExportState::Failed)->trouble->toContain('is not known any more')->and($this->getJson("/api/revisions/{$job->head_id}/fits")->json())->toBe([]);
});

it('lets the gauges judge by the strictest of a job\'s houses, or by the one that is chosen', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job([Fixtures::words('small', 'moth night', 0.9)]);
    $house = $this->postJson('/api/houses', ['house' => json_encode(lane([placeAt('Front', 900, 1200, ['smallestWords' => 0.3]), placeAt('Back', 900, 1200)]))])->json('id');
    $small = fn (): array => collect($this->getJson("/api/revisions/{$job->head_id}/preflight")->assertOk()->json('findings'))->firstWhere('key', 'small');
    expect($small()['limit'])->toBe('0.05 in · 0.014 in');
    $both = array_map(fn (string $place): array => ['house' => $house, 'place' => "tee/$place", 'mode' => 'contain'], ['front', 'back']);
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => $both])->assertNoContent();
    // Printed three times as large there: a third of 0.3 in is enough here.
    expect($small()['limit'])->toStartWith('0.10 in');
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => $both, 'judgedBy' => "$house tee/back"])->assertNoContent();
    expect($small()['limit'])->toStartWith('0.02 in')->and($this->getJson("/api/revisions/{$job->head_id}/fits")->json('*.judges'))->toBe([false, true]);
});

it('makes the files of one send side by side, as long as no other shop waits, and clears what they shared', function (): void {
    $job = plateJob($this);
    $make = fn (PrintJob $of, string $batch, ExportState $state) => $of->exports()->create(['shop_id' => $of->shop_id, 'revision_id' => $of->head_id, 'state' => $state, 'stage' => 'layers', 'progress' => 0, 'file' => 'a.png', 'batch' => $batch, 'beat_at' => now()]);
    $make($job, 'one', ExportState::Running);
    $same = $make($job, 'one', ExportState::Queued);
    $alone = $make($job, '', ExportState::Queued);
    $other = $make($job, 'two', ExportState::Queued);
    expect(ExportClaim::shopIsBusy($same))->toBeFalse()->and(ExportClaim::shopIsBusy($alone))->toBeTrue()->and(ExportClaim::shopIsBusy($other))->toBeTrue()->and(ExportClaim::isLastOf($same))->toBeFalse();
    $theirs = Shop::query()->create(['name' => 'Tide-pool rangers']);
    $waits = $make($job, '', ExportState::Queued);
    $waits->forceFill(['shop_id' => $theirs->id])->saveQuietly();
    expect(ExportClaim::shopIsBusy($same))->toBeTrue();

    Export::query()->withoutGlobalScopes()->delete();
    $house = $this->postJson('/api/houses', ['house' => json_encode(lane([placeAt('Front', 300, 400), placeAt('Back', 300, 400)]))])->json('id');
    $this->putJson("/api/jobs/{$job->id}/destinations", ['destinations' => array_map(fn (string $place): array => ['house' => $house, 'place' => "tee/$place", 'mode' => 'contain'], ['front', 'back'])])->assertNoContent();
    $this->postJson("/api/jobs/{$job->id}/send")->assertCreated();
    expect(Export::query()->where('state', ExportState::Done)->pluck('sha256')->unique())->toHaveCount(1)->and(glob($this->shop->folder('scratch').'/send-*'))->toBe([]);
});
