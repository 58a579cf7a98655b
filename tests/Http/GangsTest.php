<?php

declare(strict_types=1);

use App\Models\ExportState;
use App\Models\Gang;
use App\Sending\PressCard;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> */
function filmOf(int $job, array $more = []): array
{
    return $more + ['film' => ['width' => 5, 'length' => 4, 'gap' => 0.5, 'margin' => 0.25], 'mirrored' => false, 'marks' => false, 'pieces' => [['job' => $job, 'width' => 2, 'count' => 5, 'turns' => false]]];
}

it('shows how copies would lie, then draws the film and hands its sheets out', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#ff0000', ['placement' => ['x' => 1.5, 'y' => 1.25, 'height' => 1.0]])]);
    $layout = $this->postJson('/api/gangs/layout', filmOf($job->id))->assertOk()->json();
    expect($layout['lengths'])->toEqual([4, 4])->and($layout['laid'])->toHaveCount(5)->and($layout['bound'])->toEqualWithDelta(10, 1e-6);

    $gang = $this->postJson('/api/gangs', filmOf($job->id))->assertCreated()->json();
    expect($gang)->toMatchArray(['state' => 'done', 'progress' => 100, 'titles' => ['5 × Bell ringers'], 'mirrored' => false])->and(array_column($gang['sheets'], 'file'))->toBe(['film-1.png', 'film-2.png'])->and($gang['sheets'][0])->toMatchArray(['width' => 1500, 'height' => 1200]);
    $path = $this->get("/api/gangs/{$gang['id']}/film-2.png")->assertOk()->assertHeader('Content-Type', 'image/png')->baseResponse->getFile()->getPathname();
    expect(hash_file('sha256', $path))->toBe($gang['sheets'][1]['sha256']);
    $this->getJson("/api/gangs/{$gang['id']}/..%2Flist.json")->assertNotFound();
    $this->deleteJson("/api/gangs/{$gang['id']}")->assertNoContent();
    expect(is_file($path))->toBeFalse()->and($this->getJson('/api/gangs')->json())->toBe([]);
});

it('tells what cannot be laid before anything is drawn', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#ff0000')]);
    $blank = $this->job([]);
    expect($this->postJson('/api/gangs', filmOf($job->id, ['film' => ['width' => 1.5, 'length' => null]]))->assertUnprocessable()->json('message'))->toContain('fits on no sheet of this film')
        ->and($this->postJson('/api/gangs/layout', filmOf($blank->id))->assertUnprocessable()->json('message'))->toContain('has no ink');
    $this->postJson('/api/gangs', filmOf(9999))->assertJsonValidationErrors('pieces.0.job');
    $this->postJson('/api/gangs', ['pieces' => []] + filmOf($job->id))->assertJsonValidationErrors('pieces');
    expect(Gang::query()->count())->toBe(0);
});

it('cancels what waits, and keeps what is being drawn from being thrown away', function (): void {
    $gang = $this->shop->gangs()->create(['asked' => filmOf(1, ['pieces' => []]), 'state' => ExportState::Running]);
    $this->deleteJson("/api/gangs/{$gang->id}")->assertConflict();
    $this->postJson("/api/gangs/{$gang->id}/cancel")->assertOk()->assertJsonPath('state', 'cancelling');
    $gang->update(['state' => ExportState::Queued]);
    $this->postJson("/api/gangs/{$gang->id}/cancel")->assertOk()->assertJsonPath('state', 'cancelled');
});

it('lets a press card go along whose figures are the makers\' own', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')]);
    $lay = fn (array $more) => $this->postJson('/api/gangs', $more + ['film' => ['width' => 8, 'length' => 11], 'pieces' => [['job' => $job->id, 'count' => 2]]]);
    $lay(['card' => ['temperature' => 150]])->assertJsonValidationErrors('card.source');
    $lay(['card' => ['temperature' => 9000, 'source' => 'x']])->assertJsonValidationErrors('card.temperature');
    $bare = $lay([])->assertCreated()->json();
    expect($bare['hasCard'])->toBeFalse();
    $card = $lay(['card' => ['temperature' => 150, 'unit' => 'C', 'seconds' => 12, 'pressure' => 'medium', 'peel' => 'warm', 'source' => 'the sheet that came with the film']])->assertCreated()->json();
    expect($card['hasCard'])->toBeTrue();
    foreach ([$bare, $card] as $gang) {
        expect((string) $this->get("/api/gangs/{$gang['id']}/card.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent())->toStartWith('%PDF-');
    }
    $page = fn (array $gang): string => view('press-card', ['gang' => Gang::query()->findOrFail($gang['id']), 'card' => PressCard::kept(Gang::query()->findOrFail($gang['id'])->asked['card'] ?? null)])->render();
    expect($page($bare))->toContain('empty on purpose')->toContain('Hot plates burn')->and($page($card))->toContain('150 °C')->toContain('12 s')->toContain('the sheet that came with the film')->toContain('2 ×');
});
