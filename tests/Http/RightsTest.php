<?php

declare(strict_types=1);

use App\Models\Asset;
use App\Models\ExportState;
use App\Models\PrintJob;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

/** A job that lays the moth beside a shape, under terms that allow all but what is stated otherwise. */
function mothJob(object $test, array $facts = [], array $more = [], bool $alone = false): PrintJob
{
    $test->shelve('moth.svg');
    $all = ['commercial' => ['value' => 'yes'], 'print-on-demand' => ['value' => 'yes'], 'unaltered' => ['value' => 'yes'], 'changed' => ['value' => 'yes'], 'sales' => ['value' => 'unlimited'], 'territory' => ['value' => 'worldwide'], 'credit' => ['value' => 'no'], 'share-alike' => ['value' => 'no']];
    $licence = $test->postJson('/api/licences', $more + ['name' => 'Moth pack', 'licensor' => 'Quarry Clip', 'facts' => array_filter($facts + $all)])->assertCreated()->json('id');
    $test->post("/api/licences/$licence/proofs", ['file' => UploadedFile::fake()->createWithContent('receipt.txt', 'Order 118')])->assertCreated();
    Asset::query()->where('file', 'moth.svg')->update(['licence_id' => $licence]);
    $moth = ['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]];

    return $test->job($alone ? [$moth] : [$moth, Fixtures::shape('star', 'star', 1)]);
}

/** @return array<string, mixed> */
function rightsOf(object $test, PrintJob $job): array
{
    return $test->getJson("/api/revisions/{$job->fresh()->head_id}/rights")->assertOk()->json();
}

it('judges each file that a sheet prints, with fact, clause and asset', function (): void {
    $this->shelve('moth.svg', 'alfa-slab-one.woff2');
    $job = $this->job([
        ['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]],
        Fixtures::words('word', 'MOTH', 2.0), Fixtures::words('off', 'OFF', 2.0, ['on' => false, 'source' => ['font' => 'gone.woff2']]),
    ]);
    $nc = $this->postJson('/api/licences', ['name' => 'CC BY-NC', 'spdx' => 'CC-BY-NC-4.0', 'facts' => ['commercial' => ['value' => 'no', 'clause' => 'section 2(a)(1)(A)', 'quote' => 'for NonCommercial purposes only']]])->json('id');
    Asset::query()->where('file', 'moth.svg')->update(['licence_id' => $nc]);
    $rights = rightsOf($this, $job);

    expect($rights['ruling'])->toBe('not-allowed')->and(array_column($rights['pieces'], 'file'))->toBe(['moth.svg', 'alfa-slab-one.woff2'])
        ->and($rights['pieces'][0]['reasons'][0])->toMatchArray(['ruling' => 'not-allowed', 'clause' => 'section 2(a)(1)(A)'])->and($rights['pieces'][0]['layers'])->toBe(['moth'])
        ->and(json_encode($rights))->not->toContain('safe');
});

it('measures from the sheet whether a picture stands alone', function (): void {
    $alone = mothJob($this, ['unaltered' => ['value' => 'no']], alone: true);
    expect(rightsOf($this, $alone)['ruling'])->toBe('not-allowed');
    $this->postJson("/api/jobs/{$alone->id}/operations", ['version' => 1, 'operations' => [['op' => 'add-effect', 'id' => 'moth', 'line' => ['kind' => 'fill'], 'first' => false]]])->assertOk();
    expect(rightsOf($this, $alone)['ruling'])->toBe('allowed');
});

it('counts what was sold, entered or read from reports, and warns before the limit', function (): void {
    $job = mothJob($this, ['sales' => ['value' => 'each-asset', 'number' => 100]]);
    $other = $this->job([['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth.svg'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]]]);
    $this->putJson("/api/jobs/{$job->id}/usage", ['where' => 'the fair', 'units' => 1, 'territories' => [], 'seats' => 1, 'asMark' => false])->assertOk();
    $this->postJson("/api/jobs/{$other->id}/sales", ['units' => 79, 'on' => '2031-02-01'])->assertCreated();
    expect(rightsOf($this, $job)['ruling'])->toBe('allowed');
    $this->postJson("/api/jobs/{$job->id}/sales", ['units' => 1, 'on' => '2031-02-02'])->assertCreated();
    expect(rightsOf($this, $job)['pieces'][0]['reasons'][0]['says'])->toContain('80 of 100 sales are used: the limit is near');
    $this->postJson("/api/jobs/{$job->id}/sales", ['units' => 20, 'on' => '2031-02-03'])->assertCreated();
    expect(rightsOf($this, $job)['ruling'])->toBe('not-allowed');
    $this->postJson("/api/jobs/{$other->id}/sales", ['units' => -30, 'on' => '2031-02-04'])->assertCreated();
    expect(rightsOf($this, $job)['ruling'])->toBe('allowed');
    $this->postJson("/api/jobs/{$job->id}/sales", ['units' => 0, 'on' => 'today'])->assertJsonValidationErrors(['units', 'on']);
});

// RFC 4180: quoted cells with commas, doubled quotes and line breaks; CRLF between rows.
it('reads a report of sales once, and tells bad rows by row and column', function (): void {
    $job = mothJob($this);
    $title = $job->title;
    $csv = "\xEF\xBB\xBFItem,Quantity,Order date,Note\r\n\"$title\",3,2031-02-01,\"two, and \"\"one\"\"\nmore\"\r\n$title,2,2031-02-02,\r\n$title,2,2031-02-02,\r\nNobody's shirt,1,2031-02-02,\r\n$title,many,2031-02-02,\r\n$title,1,02/03/2031,\r\n";
    $read = $this->post('/api/sales/report', ['file' => UploadedFile::fake()->createWithContent('february.csv', $csv)])->assertCreated()->json();
    $again = $this->post('/api/sales/report', ['file' => UploadedFile::fake()->createWithContent('february.csv', $csv)])->assertCreated()->json();

    expect($read)->toMatchArray(['taken' => 3, 'units' => 7, 'known' => 0])->and($read['problems'])->toBe([
        'Row 5, column Item: "Nobody\'s shirt" is the title of no design.', 'Row 6, column Quantity: "many" is no number of shirts.', 'Row 7, column Order date: "02/03/2031" is no day; write it as 2031-04-30.',
    ])->and($again)->toMatchArray(['taken' => 0, 'units' => 0, 'known' => 3])->and($this->getJson('/api/sales')->json('0.units'))->toBe(7);
});

it('asks which column holds what, once', function (): void {
    $job = mothJob($this);
    $csv = "Shirt;Pieces;When\n{$job->title};4;2031-02-01\n";
    $file = fn (): UploadedFile => UploadedFile::fake()->createWithContent('report.csv', $csv);
    expect($this->post('/api/sales/report', ['file' => $file()], ['Accept' => 'application/json'])->assertUnprocessable()->json('message'))->toContain('Which column has the title? The file has: Shirt, Pieces, When.');
    $this->post('/api/sales/report', ['file' => $file(), 'columns' => ['title' => 'Shirt', 'units' => 'Pieces', 'date' => 'When']])->assertCreated()->assertJsonPath('units', 4);
    $this->post('/api/sales/report', ['file' => UploadedFile::fake()->createWithContent('march.csv', str_replace('02-01', '03-01', $csv))])->assertCreated()->assertJsonPath('units', 4);
    expect($this->post('/api/sales/report', ['file' => UploadedFile::fake()->createWithContent('x.csv', 'nothing')], ['Accept' => 'application/json'])->assertUnprocessable()->json('message'))->toContain('no table');
});

it('wants a word why before it prints what is not allowed, keeps it, and tells when a verdict turns', function (): void {
    $job = mothJob($this, ['credit' => ['value' => 'required', 'text' => 'Quarry Clip']]);
    expect(rightsOf($this, $job))->toMatchArray(['ruling' => 'allowed-with-duties', 'credits' => '"moth" by someone, Moth pack; changed.']);
    $export = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    $job->exports()->whereKey($export)->update(['state' => ExportState::Done]);
    $licence = $this->getJson('/api/licences')->json('0');
    $this->putJson("/api/licences/{$licence['id']}", ['name' => 'Moth pack', 'facts' => ['commercial' => ['value' => 'no']]])->assertOk();

    expect(rightsOf($this, $job)['turned'][0])->toContain('moth was "allowed, with duties"')->toContain('is "not allowed by the terms as stated" now');
    $this->postJson("/api/jobs/{$job->id}/exports")->assertJsonValidationErrors('why');
    $this->postJson("/api/jobs/{$job->id}/exports", ['why' => 'A gift to the kite society, not for sale.'])->assertCreated()->assertJsonPath('why', 'A gift to the kite society, not for sale.');
});

it('finds what the shop was warned of, and cautions by kind', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job([Fixtures::words('word', "BR1NDLE\nBROS COLLEGE", 2.0)]);
    $id = $this->postJson('/api/watched', ['phrase' => 'Brindle Bros', 'note' => 'their letter of May', 'on' => '2030-05-04'])->assertCreated()->json('id');
    $rights = rightsOf($this, $job);

    expect($rights['watched'])->toBe([['phrase' => 'Brindle Bros', 'found' => 'BR1NDLE BROS', 'note' => 'their letter of May', 'on' => '2030-05-04']])->and(array_column($rights['cautions'], 'kind'))->toBe(['school'])->and($rights['ruling'])->toBe('look');
    $this->deleteJson("/api/watched/$id")->assertNoContent();
    expect(rightsOf($this, $job)['watched'])->toBe([]);
    $this->postJson('/api/watched', ['phrase' => ''])->assertJsonValidationErrors('phrase');
});

it('takes the shop\'s usual use until a brief says otherwise', function (): void {
    $job = mothJob($this, ['territory' => ['value' => 'named', 'text' => 'Norway']]);
    expect(rightsOf($this, $job)['ruling'])->toBe('not-allowed');
    $use = ['where' => 'the fair', 'units' => 20, 'territories' => ['Norway'], 'seats' => 1, 'asMark' => false];
    $this->putJson('/api/usage', $use)->assertOk()->assertJsonPath('territories', ['Norway']);
    expect(rightsOf($this, $job)['ruling'])->toBe('allowed');
    $this->putJson("/api/jobs/{$job->id}/usage", ['territories' => ['Iceland']] + $use)->assertOk();
    expect(rightsOf($this, $job)['ruling'])->toBe('not-allowed');
    $this->putJson('/api/usage', ['units' => -1] + $use)->assertJsonValidationErrors('units');
});

it('writes the licence sheet of a design and of the shop', function (): void {
    $job = mothJob($this, ['credit' => ['value' => 'required', 'text' => '=HYPERLINK("x")']], ['orderNumber' => 'QC-118']);
    Asset::query()->where('file', 'moth.svg')->update(['title' => '=1+1']);
    $csv = $this->get("/api/revisions/{$job->head_id}/licences.csv")->assertOk()->assertHeader('Content-Type', 'text/csv; charset=UTF-8')->getContent();
    $rows = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim((string) $csv)));

    expect($rows[0][0])->toBe('title')->and($rows[1][0])->toBe("'=1+1")->and($rows[1][4])->toBe('Moth pack')->and($rows[1][5])->toContain('order QC-118')->and($rows[1][7])->toContain('receipt.txt')->and($rows[1][9])->toBe('allowed-with-duties');
    $html = (string) $this->get("/api/revisions/{$job->head_id}/licences.html")->assertOk()->getContent();
    expect($html)->toContain('data:image/jpeg;base64,')->toContain('no legal advice')->not->toContain('style="')->and($this->get('/api/licences/sheet.csv')->assertOk()->getContent())->toContain('moth.svg');
    expect(substr((string) $this->get("/api/revisions/{$job->head_id}/licences.pdf")->assertOk()->getContent(), 0, 5))->toBe('%PDF-');
    $this->getJson("/api/revisions/{$job->head_id}/licences.exe")->assertNotFound();
});

it('packs the evidence with hashes that hold', function (): void {
    $job = mothJob($this);
    $answer = $this->get("/api/revisions/{$job->head_id}/evidence.zip")->assertOk();
    $zip = new ZipArchive;
    expect($zip->open($answer->baseResponse->getFile()->getPathname()))->toBeTrue();
    $manifest = json_decode((string) $zip->getFromName('manifest.json'), true);

    expect(array_keys($manifest['sha256']))->toContain('licences.pdf', 'licences.csv', 'design.png', 'credits.txt')->and($manifest['proofs'][0])->toMatchArray(['licence' => 'Moth pack', 'sha256' => hash('sha256', 'Order 118'), 'whole' => true]);
    foreach ($manifest['sha256'] as $name => $hash) {
        expect(hash('sha256', (string) $zip->getFromName($name)))->toBe($hash, $name);
    }
});
