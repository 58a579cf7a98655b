<?php

declare(strict_types=1);

use App\Models\LogEntry;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

it('notes every file that is made, tells it again from its content, and outlives the job', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')], 'Kite day');
    $export = $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated()->json('id');
    $path = Fixtures::temporary('log').'/renamed.png';
    copy($job->exports()->find($export)->path(), $path);
    $this->deleteJson("/api/jobs/{$job->id}")->assertNoContent();
    $line = $this->post('/api/log/find', ['file' => new UploadedFile($path, 'whatever.png', test: true)])->assertOk()->json();

    expect($line)->toHaveCount(1)->and($line[0])->toMatchArray(['title' => 'Kite day', 'job' => $job->id, 'revision' => $job->head_id, 'file' => 'kite-day.png', 'sha256' => hash_file('sha256', $path), 'who' => 'Wren', 'width' => 900, 'height' => 1200])->and($line[0]['held'])->toBeGreaterThan(3);
    file_put_contents($path, 'x', FILE_APPEND);
    $this->post('/api/log/find', ['file' => new UploadedFile($path, 'whatever.png', test: true)])->assertOk()->assertExactJson([]);
});

it('is searched and told as a table', function (): void {
    foreach (['Kite day', '=Moth night'] as $title) {
        $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')], $title);
        $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    }
    expect($this->getJson('/api/log?q=kite')->json())->toMatchArray(['total' => 1, 'pages' => 1])->and($this->getJson('/api/log')->json('lines.*.title'))->toBe(['=Moth night', 'Kite day'])->and($this->getJson('/api/log?q=kite+moth')->json('total'))->toBe(0);
    $rows = array_map(fn (string $row): array => str_getcsv($row, escape: ''), explode("\r\n", trim($this->get('/api/log.csv')->assertOk()->streamedContent())));
    expect($rows)->toHaveCount(3)->and($rows[1][2])->toBe("'=Moth night")->and($rows[2][3])->toBe('kite-day.png');
});

it('is only added to', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')]);
    $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    $entry = LogEntry::query()->sole();
    expect(fn () => $entry->update(['title' => 'other']))->toThrow(LogicException::class)->and(fn () => $entry->delete())->toThrow(LogicException::class);
});

it('notes listings, prices and what was taken down, each as a new line', function (): void {
    $job = $this->job([], 'Kite day');
    $note = fn (array $asked) => $this->postJson("/api/jobs/{$job->id}/noted", $asked + ['where' => 'Bramble Market', 'on' => '2026-11-20']);
    $note(['event' => 'listed', 'address' => 'https://market.example/kite-day', 'price' => '24.00 EUR'])->assertCreated()->assertJsonPath('said', ['https://market.example/kite-day', '24.00 EUR']);
    $note(['event' => 'priced', 'price' => '26.00 EUR'])->assertCreated();
    $note(['event' => 'taken-down', 'reason' => 'the day is over'])->assertCreated()->assertJsonPath('said', ['the day is over']);
    $note(['event' => 'listed', 'address' => 'javascript:alert(1)'])->assertJsonValidationErrors('address');
    $note(['event' => 'listed'])->assertJsonValidationErrors('address');
    $note(['event' => 'taken-down'])->assertJsonValidationErrors('reason');
    $note(['event' => 'printed', 'price' => '1'])->assertJsonValidationErrors('event');
    $note(['event' => 'priced', 'price' => '1', 'on' => '2099-01-01'])->assertJsonValidationErrors('on');
    $other = $this->job([], 'Moth night');

    expect($this->getJson("/api/log?job={$job->id}")->json('lines.*.event'))->toBe(['taken-down', 'priced', 'listed'])->and($this->getJson("/api/log?job={$other->id}")->json('total'))->toBe(0)
        ->and((string) $this->get('/api/log.csv')->streamedContent())->toContain('market.example/kite-day');
});
