<?php

declare(strict_types=1);

use App\Models\Asset;
use App\Models\Proof;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> terms of a bought pack, as the interview sends them */
function bought(array $more = []): array
{
    return $more + [
        'name' => 'Lantern pack', 'licensor' => 'Quarry Clip', 'orderNumber' => 'QC-118', 'seats' => 1, 'boughtOn' => '2030-11-02',
        'facts' => ['commercial' => ['value' => 'yes'], 'print-on-demand' => ['value' => 'yes'], 'sales' => ['value' => 'each-design', 'number' => 500], 'unaltered' => ['value' => 'no']],
    ];
}

function receipt(string $name, string $content): UploadedFile
{
    return UploadedFile::fake()->createWithContent($name, $content);
}

/** @param  array<string, string|false>  $files  contents by name */
function packed(array $files): UploadedFile
{
    $path = Fixtures::temporary('zip').'/pack.zip';
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::CREATE);
    foreach ($files as $name => $content) {
        $zip->addFromString($name, (string) $content);
    }
    $zip->close();

    return UploadedFile::fake()->createWithContent('Kite Varsity.zip', (string) file_get_contents($path));
}

it('records a licence, its terms and its dates, and changes them', function (): void {
    $made = $this->postJson('/api/licences', bought())->assertCreated()->json();
    $facts = array_column($made['facts'], null, 'name');

    expect($facts['sales'])->toMatchArray(['value' => 'each-design', 'number' => 500, 'says' => 'so many for each design: 500'])->and($facts['credit']['value'])->toBe('unknown')
        ->and($made)->toMatchArray(['orderNumber' => 'QC-118', 'boughtOn' => '2030-11-02', 'endsOn' => null, 'open' => 10, 'assets' => 0, 'proofs' => []]);
    $this->putJson("/api/licences/{$made['id']}", bought(['endsOn' => '2031-01-01', 'facts' => ['commercial' => ['value' => 'no']]]))->assertOk()->assertJsonPath('endsOn', '2031-01-01')->assertJsonPath('open', 13);
    expect($this->getJson('/api/licences')->json('*.name'))->toBe(['Lantern pack']);
});

it('refuses terms that say nothing, by field', function (array $asked, string $field): void {
    $this->postJson('/api/licences', bought($asked))->assertJsonValidationErrors($field);
})->with([
    [['name' => ''], 'name'], [['spdx' => 'NOT-ONE'], 'spdx'], [['beginsOn' => '2031-02-01', 'endsOn' => '2031-01-01'], 'until'], [['endsOn' => 'soon'], 'endsOn'], [['facts' => ['sales' => ['value' => 'in-all']]], 'facts.sales'], [['facts' => ['taste' => ['value' => 'yes']]], 'facts'],
]);

it('fills in the terms of an open licence when a file is put on the shelf', function (): void {
    $answer = $this->post('/api/assets', ['file' => new UploadedFile(Fixtures::assets().'/moth.svg', 'moth.svg', test: true), 'licence' => 'CC BY 4.0', 'author' => 'A. Quarry', 'held' => '1'])->assertCreated();
    $licence = $this->getJson('/api/licences')->json('0');

    expect($licence)->toMatchArray(['spdx' => 'CC-BY-4.0', 'name' => 'Creative Commons Attribution 4.0', 'licensor' => 'A. Quarry', 'assets' => 1])
        ->and(Asset::query()->find($answer->json('0.id'))?->licence_id)->toBe($licence['id']);
    $this->deleteJson("/api/licences/{$licence['id']}")->assertConflict();
});

it('keeps proofs by what they hold, as they came, each once', function (): void {
    $id = $this->postJson('/api/licences', bought())->json('id');
    $first = $this->post("/api/licences/$id/proofs", ['file' => receipt('order 118.eml', "From: shop@quarry.example\n\nThank you.")])->assertCreated()->json();
    $again = $this->post("/api/licences/$id/proofs", ['file' => receipt('copy.eml', "From: shop@quarry.example\n\nThank you.")])->assertCreated()->json();

    expect($again['id'])->toBe($first['id'])->and($first['sha256'])->toBe(hash('sha256', "From: shop@quarry.example\n\nThank you."))->and(Proof::query()->count())->toBe(1)
        ->and($this->getJson("/api/proofs/{$first['id']}/text")->assertOk()->json())->toBe(['name' => 'order 118.eml', 'text' => "From: shop@quarry.example\n\nThank you.", 'whole' => true]);
    $proof = Proof::query()->sole();
    chmod($proof->path(), 0o600);
    file_put_contents($proof->path(), 'something else');
    expect($this->getJson("/api/proofs/{$first['id']}/text")->json('whole'))->toBeFalse();
});

it('serves hostile receipts as files to save, and shows HTML as text alone', function (): void {
    $id = $this->postJson('/api/licences', bought())->json('id');
    $html = '<script>alert(1)</script><img src=x onerror=alert(2)>';
    $proof = $this->post("/api/licences/$id/proofs", ['file' => receipt('../../terms.html', $html)])->assertCreated()->json();
    $pdf = $this->post("/api/licences/$id/proofs", ['file' => receipt('receipt.pdf', "%PDF-1.4\n1 0 obj<</OpenAction<</S/JavaScript/JS(app.alert(1))>>>>endobj")])->assertCreated()->json();
    $served = $this->get("/api/proofs/{$proof['id']}/file")->assertOk()->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Content-Type', 'application/octet-stream');

    expect($proof['name'])->toBe('terms.html')->and($served->headers->get('Content-Disposition'))->toStartWith('attachment')->and($served->headers->get('Content-Security-Policy'))->toContain('sandbox')
        ->and($this->getJson("/api/proofs/{$proof['id']}/text")->assertHeader('Content-Type', 'application/json')->json('text'))->toBe($html);
    $this->get("/api/proofs/{$pdf['id']}/file")->assertHeader('Content-Disposition', 'attachment; filename=receipt.pdf');
    $this->getJson("/api/proofs/{$pdf['id']}/text")->assertNotFound();
});

it('refuses what is no proof', function (string $name, string $content, string $why): void {
    $id = $this->postJson('/api/licences', bought())->json('id');
    expect($this->post("/api/licences/$id/proofs", ['file' => receipt($name, $content)], ['Accept' => 'application/json'])->assertUnprocessable()->json('message'))->toContain($why);
})->with(['a program' => ['setup.exe', 'MZ', 'cannot be kept as a proof'], 'no document' => ['receipt.pdf', 'no pdf at all', 'is no PDF inside'], 'another picture' => ['scan.png', "\xff\xd8\xffjpeg", 'is no PNG inside'], 'bytes' => ['mail.txt', "a\0b", 'is no TXT inside']]);

it('finds the licence that lies in a pack, and keeps its text', function (): void {
    $ofl = (string) file_get_contents(base_path('core/tests/fixtures/licences/OFL-1.1.txt'));
    $pack = packed(['Kite/Kite.woff2' => file_get_contents(Fixtures::assets().'/graduate.woff2'), 'Kite/OFL.txt' => "Copyright 2031 Quarry Type\n$ofl", 'Kite/moth.svg' => (string) file_get_contents(Fixtures::assets().'/moth.svg')]);
    $kept = $this->post('/api/assets', ['file' => $pack, 'held' => '1', 'author' => 'Quarry Type'])->assertCreated()->json();
    $licence = $this->getJson('/api/licences')->json('0');

    expect(array_column($kept, 'kind'))->toBe(['font', 'art'])->and($licence)->toMatchArray(['spdx' => 'OFL-1.1', 'assets' => 2])->and($licence['proofs'][0])->toMatchArray(['name' => 'OFL.txt', 'readable' => true]);
});

it('wants a licence where none is stated and none is found', function (): void {
    $pack = packed(['Kite/Kite.woff2' => file_get_contents(Fixtures::assets().'/graduate.woff2'), 'Kite/terms.txt' => 'Be kind.']);
    $this->post('/api/assets', ['file' => $pack, 'held' => '1'], ['Accept' => 'application/json'])->assertJsonValidationErrors('licence');
    $this->post('/api/assets', ['file' => new UploadedFile(Fixtures::assets().'/moth.svg', 'moth.svg', test: true), 'held' => '1'], ['Accept' => 'application/json'])->assertJsonValidationErrors('licence');
    $id = $this->postJson('/api/licences', bought())->json('id');
    $this->post('/api/assets', ['file' => packed(['Kite.woff2' => file_get_contents(Fixtures::assets().'/graduate.woff2')]), 'held' => '1', 'under' => (string) $id])->assertCreated();
    expect($this->getJson('/api/licences')->json('0.assets'))->toBe(1);
});

it('asks the interview in plain questions and knows the open licences', function (): void {
    $interview = $this->getJson('/api/licences/interview')->assertOk()->json();
    expect(array_column($interview['questions'], 'name'))->toContain('print-on-demand', 'share-alike')->and(array_column($interview['known'], 'spdx'))->toContain('OFL-1.1', 'CC-BY-NC-4.0')->and(count($interview['spdx']))->toBeGreaterThan(500);
});
