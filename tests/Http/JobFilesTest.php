<?php

declare(strict_types=1);

use App\Models\Asset;
use App\Models\PrintJob;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

function badge(string $text = 'MOTH NIGHT', string $font = 'rye.woff2'): array
{
    return [Fixtures::words('w', $text, 2, ['source' => ['kind' => 'text', 'text' => $text, 'font' => $font]]), ['id' => 'm', 'source' => ['kind' => 'art', 'file' => 'moth.svg'], 'placement' => ['x' => 1.5, 'y' => 3, 'width' => 1]]];
}

/** The bytes of a job of the shop, in one file. */
function downloaded(Tests\TestCase $test, PrintJob $job): string
{
    $answer = $test->get("/api/jobs/{$job->id}/file")->assertOk()->assertDownload();

    return (string) file_get_contents($answer->baseResponse->getFile()->getPathname());
}

function job_file(string $bytes): array
{
    return ['file' => UploadedFile::fake()->createWithContent('badge.crow', $bytes), 'held' => '1'];
}

it('opens on another shop\'s bench what was downloaded here, with the licences', function (): void {
    $this->shelve('rye.woff2', 'moth.svg');
    $job = $this->job(badge(), 'Moth night');
    $bytes = downloaded($this, $job);
    $this->delete("/api/jobs/{$job->id}");
    foreach (Asset::all() as $asset) {
        unlink($this->shop->folder('assets').'/'.$asset->file);
        $asset->delete();
    }
    $answer = $this->post('/api/jobs/open', job_file($bytes))->assertCreated()->assertJsonPath('title', 'Moth night');
    expect(PrintJob::query()->findOrFail($answer->json('id'))->head->read()->toArray())->toBe($job->head->read()->toArray())
        ->and($this->shop->assets()->pluck('licence_name', 'file')->all())->toEqual(['rye.woff2' => 'OFL-1.1', 'moth.svg' => 'OFL-1.1']);
    $this->get("/api/jobs/{$answer->json('id')}")->assertOk();
});

it('uses what the shelf has, and renames what clashes', function (): void {
    $this->shelve('rye.woff2', 'moth.svg');
    $bytes = downloaded($this, $this->job(badge()));
    // The same font again, and another drawing under the moth's name.
    copy(Fixtures::assets().'/raven.svg', $this->shop->folder('assets').'/moth.svg');
    $this->shop->assets()->where('file', 'moth.svg')->update(['bytes' => filesize(Fixtures::assets().'/raven.svg')]);
    $answer = $this->post('/api/jobs/open', job_file($bytes))->assertCreated();
    $files = PrintJob::query()->findOrFail($answer->json('id'))->head->read()->files();
    expect($files)->toEqualCanonicalizing(['rye.woff2', 'moth-2.svg'])
        ->and($this->shop->assets()->pluck('file')->all())->toEqualCanonicalizing(['rye.woff2', 'moth.svg', 'moth-2.svg']);
});

it('keeps nothing of a file that it refuses', function (Closure $spoil, string $says): void {
    $this->shelve('rye.woff2', 'moth.svg');
    $path = Fixtures::temporary('job').'/a.crow';
    file_put_contents($path, downloaded($this, $this->job(badge())));
    foreach (Asset::all() as $asset) {
        unlink($this->shop->folder('assets').'/'.$asset->file);
        $asset->delete();
    }
    $spoil($path);
    expect($this->postJson('/api/jobs/open', job_file((string) file_get_contents($path)))->assertUnprocessable()->json('message'))->toContain($says);
    expect($this->shop->jobs()->count())->toBe(1)->and($this->shop->assets()->count())->toBe(0)
        ->and(glob($this->shop->folder('assets').'/*'))->toBe([])->and(glob($this->shop->folder('unpacking').'/*'))->toBe([]);
})->with([
    'no zip' => [fn (string $path) => file_put_contents($path, 'kites'), 'no job file'],
    'a font that is none' => [function (string $path): void {
        $zip = new ZipArchive;
        $zip->open($path);
        $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
        foreach ($manifest['files'] as $i => $file) {
            if ($file['name'] === 'rye.woff2') {
                $manifest['files'][$i]['sha256'] = hash('sha256', 'no font');
            }
        }
        $zip->addFromString('files/rye.woff2', 'no font');
        $zip->addFromString('manifest.json', (string) json_encode(['files' => array_reverse($manifest['files'])] + $manifest));
        $zip->close();
    }, 'rye.woff2'],
    'a sheet that cannot be read' => [function (string $path): void {
        $zip = new ZipArchive;
        $zip->open($path);
        $zip->addFromString('artwork.json', '{"format":"tallcrow.artwork/3"}');
        $zip->close();
    }, 'title'],
]);

it('asks for the file and the seller\'s word', function (): void {
    $this->postJson('/api/jobs/open', [])->assertUnprocessable()
        ->assertJsonPath('errors.file.0', 'Choose a job file.')->assertJsonPath('errors.held.0', 'Confirm that you hold the right to use its fonts and pictures.');
});

it('says which font is gone from the shelf when a job is to go out', function (): void {
    $this->shelve('rye.woff2', 'moth.svg');
    $job = $this->job(badge());
    $this->loseFile('rye.woff2');
    expect($this->getJson("/api/jobs/{$job->id}/file")->assertUnprocessable()->json('message'))->toContain('rye.woff2');
});

it('says of a piece without a licence that none was stated, and needs no file that a shelf lost', function (): void {
    $this->shelve('rye.woff2', 'moth.svg');
    $path = Fixtures::temporary('job').'/a.crow';
    file_put_contents($path, downloaded($this, $this->job(badge())));
    $zip = new ZipArchive;
    $zip->open($path);
    $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);
    $zip->addFromString('manifest.json', (string) json_encode(['files' => array_map(fn (array $file): array => ['terms' => []] + $file, $manifest['files'])] + $manifest));
    $zip->close();
    // Both are still on the list of the shelf, and one of them is gone from the disk.
    $this->loseFile('moth.svg');
    $this->post('/api/jobs/open', job_file((string) file_get_contents($path)))->assertCreated();
    expect($this->shop->assets()->orderByDesc('id')->first()->licence_name)->toBe('not stated');
});
