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
    expect($rows)->toHaveCount(3)->and($rows[1][1])->toBe("'=Moth night")->and($rows[2][2])->toBe('kite-day.png');
});

it('is only added to', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')]);
    $this->postJson("/api/jobs/{$job->id}/exports")->assertCreated();
    $entry = LogEntry::query()->sole();
    expect(fn () => $entry->update(['title' => 'other']))->toThrow(LogicException::class)->and(fn () => $entry->delete())->toThrow(LogicException::class);
});
