<?php

declare(strict_types=1);

use TallCrow\Tests\Fixtures;

it('keeps with the job that a finding is meant so, tells why, and counts it again when asked', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7', ['placement' => ['y' => 0.2, 'height' => 1.5]])]);
    $edge = fn (): array => collect($this->getJson('/api/revisions/'.$job->fresh()->head_id.'/preflight')->assertOk()->json('findings'))->firstWhere('key', 'edge');
    expect($edge())->toMatchArray(['verdict' => 'fail', 'meant' => '']);
    $say = fn (string $why) => $this->postJson("/api/jobs/{$job->id}/operations", ['version' => $job->fresh()->version, 'operations' => [['op' => 'mean-so', 'key' => 'edge', 'why' => $why]]])->assertOk();
    $say('it bleeds over the hem');
    expect($edge())->toMatchArray(['verdict' => 'fail', 'meant' => 'it bleeds over the hem'])->and($job->fresh()->head->read()->toArray()['meant'])->toBe([['key' => 'edge', 'why' => 'it bleeds over the hem']]);
    $say('');
    expect($edge()['meant'])->toBe('')->and($job->fresh()->head->read()->toArray())->not->toHaveKey('meant');
});

it('shows what a mend would do and saves nothing', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')]);
    $operations = json_encode([['op' => 'move', 'ids' => ['plate'], 'dx' => 0.4, 'dy' => 0.0]]);
    $now = $this->get("/api/revisions/{$job->head_id}/proof.png?ppi=60")->assertOk()->getContent();
    $mended = $this->get("/api/revisions/{$job->head_id}/mended.png?ppi=60&operations=".urlencode((string) $operations))->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
    expect($mended)->not->toBe($now)->and(substr((string) $mended, 1, 3))->toBe('PNG')->and($job->fresh()->head_id)->toBe($job->head_id);
    $this->getJson("/api/revisions/{$job->head_id}/mended.png?operations=nonsense")->assertUnprocessable();
    // One piece of it, small, for what stands beside a name.
    $id = $job->head?->read()->layers[0]->id;
    $wide = urlencode((string) json_encode([['op' => 'scale', 'ids' => [$id], 'by' => 0.5]]));
    $small = getimagesizefromstring((string) $this->get("/api/revisions/{$job->head_id}/layers/$id/tried.png?operations=$wide")->assertOk()->assertHeader('Content-Type', 'image/png')->getContent());
    expect(max($small[0], $small[1]))->toBeGreaterThan(20)->toBeLessThanOrEqual(116);
    $large = getimagesizefromstring((string) $this->get("/api/revisions/{$job->head_id}/layers/$id/tried.png?side=9999")->assertOk()->getContent());
    expect(max($large[0] ?? 0, $large[1] ?? 0))->toBeGreaterThan(max($small[0] ?? 0, $small[1] ?? 0))->toBeLessThanOrEqual(640);
    $this->getJson("/api/revisions/{$job->head_id}/layers/none/tried.png?operations=$wide")->assertNotFound();
    $off = urlencode((string) json_encode([['op' => 'remove', 'ids' => [$id]]]));
    $this->getJson("/api/revisions/{$job->head_id}/layers/$id/tried.png?operations=$off")->assertNotFound();
    $this->getJson("/api/revisions/{$job->head_id}/layers/$id/tried.png?operations=nonsense")->assertUnprocessable();
});

it('writes a report that stands by itself, whatever the job is called', function (): void {
    $job = $this->job([Fixtures::words('w', '<script>alert(1)</script>', 2)]);
    $page = (string) $this->get("/api/revisions/{$job->head_id}/report.html")->assertOk()->getContent();
    expect($page)->toContain('data:image/png;base64,', 'Does not hold', 'On Oat', '&lt;script&gt;')->not->toContain('<script', 'style="');
});

it('names the pockets of a picture and the colours that a line hides', function (): void {
    $this->shelve('moth-scan.png');
    $scan = fn (array $lines): array => ['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth-scan.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2], 'effects' => $lines];
    $job = $this->job([$scan([['kind' => 'clear-edge', 'tolerance' => 22], ['kind' => 'clear-buckets', 'count' => 3, 'hidden' => ['#2060ff']]])]);
    $pockets = $this->getJson("/api/revisions/{$job->head_id}/layers/moth/pockets/0")->assertOk()->json();
    // The white of the two eyes on its wings.
    expect(count($pockets))->toBeGreaterThanOrEqual(2)->and($pockets[0]['share'])->toBeGreaterThan(0.0005);
    $buckets = $this->getJson("/api/revisions/{$job->head_id}/layers/moth/buckets/1")->assertOk()->json();
    expect($buckets)->toHaveCount(4)->and($buckets[3])->toMatchArray(['colour' => '#2060ff', 'matches' => false, 'hiddenAs' => '#2060ff'])->and($buckets[0]['hiddenAs'])->toBeNull();
    $this->getJson("/api/revisions/{$job->head_id}/layers/moth/pockets/1")->assertNotFound();
});

it('shows a part as a house would print it on a cloth of the job, and no other', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7', ['opacity' => 0.3])]);
    $pressed = fn (string $more) => $this->get("/api/revisions/{$job->head_id}/pressed.png?$more");
    $png = $pressed('cloth=0&left=300&top=500&width=200&height=100')->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
    expect(array_slice((array) getimagesizefromstring((string) $png), 0, 2))->toBe([200, 100]);
    $pressed('cloth=9&left=300&top=500&width=200&height=100')->assertNotFound();
    // The whole sheet of 3 × 4 in, coarser.
    expect(array_slice((array) getimagesizefromstring((string) $pressed('cloth=0&ppi=50')->assertOk()->getContent()), 0, 2))->toBe([150, 200]);
});

it('knows the words that the shop keeps as its own, and forgets them', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job([Fixtures::words('w', 'tide pool rookery limpetry', 3)]);
    $told = fn (): array => array_values(array_filter($this->getJson("/api/revisions/{$job->head_id}/preflight?closely=1")->assertOk()->json('findings.*.key'), fn (string $key): bool => str_starts_with($key, 'spelling:')));
    expect($told())->toBe(['spelling:limpetry']);
    $id = $this->postJson('/api/words', ['word' => 'Limpetry'])->assertCreated()->assertJsonPath('word', 'limpetry')->json('id');
    $this->postJson('/api/words', ['word' => 'limpetry'])->assertCreated()->assertJsonPath('id', $id);
    expect($told())->toBe([])->and($this->getJson('/api/words')->json('*.word'))->toBe(['limpetry']);
    $this->postJson('/api/words', ['word' => 'two words'])->assertJsonValidationErrors('word');
    $this->deleteJson("/api/words/$id")->assertNoContent();
    expect($told())->toBe(['spelling:limpetry']);
});

it('goes back to an older state as one more step, which undo takes back', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')]);
    $first = $job->head_id;
    $this->postJson("/api/jobs/{$job->id}/operations", ['version' => $job->fresh()->version, 'operations' => [['op' => 'move', 'ids' => ['plate'], 'dx' => 0.4, 'dy' => 0.0]]])->assertOk();
    $second = $job->fresh()->head_id;
    $versions = $this->getJson("/api/jobs/{$job->id}/versions")->assertOk()->json();
    expect(array_column($versions, 'revision'))->toBe([$second, $first])->and(array_column($versions, 'number'))->toBe([2, 1])
        ->and(array_column($versions, 'current'))->toBe([true, false])->and($versions[1])->toMatchArray(['layers' => 1]);
    $this->postJson("/api/jobs/{$job->id}/versions/$first", ['version' => $job->fresh()->version])->assertOk();
    $third = $job->fresh()->load('head')->head;
    expect($third->id)->toBeGreaterThan($second)->and($third->artwork)->toBe($job->revisions()->find($first)->artwork);
    $this->postJson("/api/jobs/{$job->id}/undo", ['version' => $job->fresh()->version])->assertOk();
    expect($job->fresh()->head_id)->toBe($second);
    $other = $this->job([Fixtures::shape('other', 'rectangle', 2, '#f3ead7')]);
    $this->postJson("/api/jobs/{$job->id}/versions/{$other->head_id}", ['version' => $job->fresh()->version])->assertNotFound();
    $this->postJson("/api/jobs/{$job->id}/versions/$first", ['version' => 1])->assertConflict();
    $started = $this->postJson("/api/jobs/{$job->id}/versions/$first/copy")->assertCreated()->json();
    expect($started['id'])->not->toBe($job->id)->and($started['artwork']['layers'])->toHaveCount(1)->and($started['title'])->toStartWith('Copy of ');
    $this->postJson("/api/jobs/{$job->id}/versions/{$other->head_id}/copy")->assertNotFound();
});

it('writes the report on paper, too', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $job = $this->job([Fixtures::words('w', 'Bells & <b>ropes</b>', 2)]);
    $answer = $this->get("/api/revisions/{$job->head_id}/report.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $pdf = (string) $answer->getContent();
    // ISO 32000-1, 7.5: a header, pages, and a trailer at the end.
    expect($pdf)->toStartWith('%PDF-1.')->toContain('/Type /Page', '/Subtype /Image')->and(trim(substr($pdf, -8)))->toEndWith('%%EOF');
});
