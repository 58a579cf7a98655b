<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use TallCrow\Tests\Fixtures;

/** @return array<string, mixed> */
function brief(array $more = []): array
{
    return $more + [
        'title' => 'Moth night', 'product' => 'hoodie', 'side' => 'back', 'method' => 'dtg', 'rule' => 'strict-300',
        'garments' => [['name' => 'Charcoal', 'colour' => '#33363a']],
        'area' => ['name' => 'Oversized back', 'width' => 4500, 'height' => 6000, 'ppi' => 300],
    ];
}

it('starts a job and puts it on the bench', function (): void {
    $job = $this->postJson('/api/jobs', brief())->assertCreated()->json();
    expect($job)->toMatchArray(['title' => 'Moth night', 'version' => 1, 'canUndo' => false, 'canRedo' => false])
        ->and($job['artwork']['sheet'])->toBe(['width' => 4500, 'height' => 6000, 'ppi' => 300])
        ->and($job['artwork']['layers'])->toBe([]);
    $this->getJson('/api/jobs')->assertOk()->assertJsonPath('0.state', 'empty')->assertJsonPath('0.garments.0.name', 'Charcoal');
    $this->getJson("/api/jobs/{$job['id']}")->assertOk()->assertJsonPath('revision', $job['revision']);
});

it('says what is wrong with a brief', function (array $change, string $field, string $says): void {
    $this->postJson('/api/jobs', brief($change))->assertUnprocessable()->assertJsonPath("errors.$field.0", $says);
})->with([
    [['title' => ''], 'title', 'Give the job a title.'],
    [['garments' => []], 'garments', 'Offer at least one garment colour.'],
]);

it('refuses areas, products and colours that are not to be had', function (array $change, string $field): void {
    $this->postJson('/api/jobs', brief($change))->assertUnprocessable()->assertJsonValidationErrors($field);
})->with([
    [['product' => 'mug'], 'product'], [['area' => ['name' => 'x', 'width' => 99999, 'height' => 1, 'ppi' => 300]], 'area.width'],
    [['garments' => [['name' => 'A', 'colour' => 'red']]], 'garments.0.colour'],
    [['garments' => [['name' => 'A', 'colour' => '#ffffff'], ['name' => 'a', 'colour' => '#000000']]], 'garments.1.name'],
]);

it('changes a brief and refits the design, or keeps its size', function (string $fit, float $width): void {
    $job = $this->job([Fixtures::shape('s', 'ellipse', 1)]);
    $answer = $this->putJson("/api/jobs/{$job->id}/brief", brief(['version' => $job->version, 'fit' => $fit, 'area' => ['name' => 'Twice', 'width' => 1800, 'height' => 2400, 'ppi' => 300]]))->assertOk()->json();
    expect($answer['artwork']['layers'][0]['placement'])->toMatchArray(['x' => 3, 'y' => 4, 'width' => $width])
        ->and($answer['artwork']['sheet']['width'])->toBe(1800)->and($answer['area']['name'])->toBe('Twice')->and($answer['canUndo'])->toBeTrue();
})->with([['refit', 2], ['keep', 1]]);

it('throws a job away with its revisions and exports', function (): void {
    $job = $this->job();
    $this->deleteJson("/api/jobs/{$job->id}")->assertNoContent();
    $this->getJson("/api/jobs/{$job->id}")->assertNotFound();
    $this->assertDatabaseCount('revisions', 0);
});

it('keeps the seller\'s own print areas', function (): void {
    $area = $this->postJson('/api/areas', ['name' => 'Quarry Road Press', 'width' => 4200, 'height' => 4800, 'ppi' => 300])->assertCreated()->json();
    $this->getJson('/api/areas')->assertJsonPath('0.name', 'Quarry Road Press');
    $this->postJson('/api/areas', ['name' => 'Too large', 'width' => 42000, 'height' => 4800, 'ppi' => 300])->assertJsonValidationErrors('width');
    $this->deleteJson("/api/areas/{$area['id']}")->assertNoContent();
    $this->getJson('/api/areas')->assertExactJson([]);
});

it('reads lengths for the interface', function (): void {
    $this->getJson('/api/lengths?text=240+mm&ppi=300')->assertOk()->assertJson(['inches' => 240 / 25.4]);
    $this->getJson('/api/lengths?text=1200px&ppi=300')->assertJson(['inches' => 4]);
    $this->getJson('/api/lengths?text=wide')->assertUnprocessable()->assertJsonPath('message', '"wide" is not a length. Type a number with in, mm, cm, pt or px, such as 9.4in, 9 3/8 in or 240 mm.');
});

it('serves the catalogue that the lines are made from', function (): void {
    $catalogue = $this->getJson('/api/catalogue')->assertOk()->json();
    expect(array_column($catalogue['effects'], 'kind'))->toContain('arch', 'outline')->and(count($catalogue['textures']))->toBeGreaterThanOrEqual(10)
        ->and($catalogue['blends'])->toHaveCount(16)->and($catalogue['areas'][0])->toMatchArray(['width' => 4500, 'height' => 5400]);
});

it('lists a job whose sheet cannot be read beside the others, and lets it be thrown away', function (): void {
    $broken = $this->job(title: 'Broken');
    $this->job(title: 'Whole');
    App\Models\Revision::query()->whereKey($broken->head_id)->update(['artwork' => '{"format":"tallcrow.artwork/3","layers":5']);
    $cards = $this->getJson('/api/jobs')->assertOk()->json();
    expect(array_column($cards, 'state', 'title'))->toEqual(['Broken' => 'unreadable', 'Whole' => 'empty']);
    $this->deleteJson("/api/jobs/{$broken->id}")->assertNoContent();
    expect($this->getJson('/api/jobs')->json('*.title'))->toBe(['Whole']);
});

it('reads no sheet for cards whose facts are kept, and finds those of another version anew', function (): void {
    $job = $this->job([Fixtures::shape('a', 'ellipse', 1.0), Fixtures::shape('b', 'star', 1.0)], 'Two of them');
    $first = $this->getJson('/api/jobs')->assertOk()->json();
    expect($first[0])->toMatchArray(['title' => 'Two of them', 'layers' => 2, 'state' => 'drafted', 'product' => 'tee', 'side' => 'front', 'sheet' => ['width' => 900, 'height' => 1200, 'ppi' => 300], 'garments' => [['name' => 'Slate', 'colour' => '#3d4a57'], ['name' => 'Oat', 'colour' => '#e4d9c3']]]);
    $asked = [];
    DB::listen(function ($query) use (&$asked): void {
        $asked[] = $query->sql;
    });
    expect($this->getJson('/api/jobs')->assertOk()->json())->toBe($first)
        ->and(array_filter($asked, fn (string $sql): bool => str_contains($sql, 'revisions') && (str_contains($sql, 'artwork') || str_contains($sql, 'select *'))))->toBe([])
        // However long the list, as many questions.
        ->and(count(array_filter($asked, fn (string $sql): bool => str_contains($sql, 'print_jobs') || str_contains($sql, 'revisions'))))->toBeLessThanOrEqual(2);
    DB::table('revisions')->where('id', $job->head_id)->update(['facts' => '{"version":0,"layers":9}']);
    expect($this->getJson('/api/jobs')->assertOk()->json())->toBe($first);
});

it('copies a job whole, and leaves its states with the old one', function (): void {
    $job = $this->job([Fixtures::shape('plate', 'rectangle', 2, '#f3ead7')], title: 'Kite day');
    $this->postJson("/api/jobs/{$job->id}/operations", ['version' => $job->fresh()->version, 'operations' => [['op' => 'move', 'ids' => ['plate'], 'dx' => 0.4, 'dy' => 0.0]]])->assertOk();
    $copy = $this->postJson("/api/jobs/{$job->id}/copy")->assertCreated()->json();
    $old = $job->fresh()->load('head')->head->read();
    expect($copy['title'])->toBe('Copy of Kite day')->and($copy['id'])->not->toBe($job->id)->and($copy['canUndo'])->toBeFalse()
        ->and(App\Models\PrintJob::query()->find($copy['id'])->head->read()->layers)->toEqual($old->layers)
        ->and(App\Models\PrintJob::query()->find($copy['id'])->area())->toEqual($job->area());
});

it('keeps lines as a recipe, shows it on any words, shares it as a file, and takes one in', function (): void {
    $this->shelve('alfa-slab-one.woff2');
    $words = Fixtures::artwork([Fixtures::words('w', 'MOTH', 2.0, ['effects' => [['kind' => 'fill', 'colour' => '#b04a2c']]])])->layers[0]->toArray();
    $recipe = ['format' => 'tallcrow.recipe/1', 'name' => 'Rust: plain', 'layers' => [$words], 'swatches' => []];
    $id = $this->postJson('/api/recipes', ['recipe' => json_encode($recipe)])->assertCreated()->assertJsonPath('missing', [])->json('id');
    $picture = fn (string $text): string => (string) $this->get("/api/recipes/$id/picture.png?words=".urlencode($text))->assertOk()->assertHeader('Content-Type', 'image/png')->getContent();
    expect($picture('KITE'))->not->toBe($picture('Tide pool'))->and(substr($picture(''), 1, 3))->toBe('PNG');
    // In the colour that it names.
    $named = $this->postJson('/api/recipes', ['recipe' => json_encode(['swatches' => [['name' => 'Rust', 'colour' => '#b04a2c']], 'layers' => [array_replace_recursive($words, ['effects' => [['colour' => '@Rust']]])]] + $recipe)])->json('id');
    expect((string) $this->get("/api/recipes/$named/picture.png?words=KITE")->getContent())->toBe($picture('KITE'))
        ->and((string) $this->get("/api/recipes/$named/picture.png?words=KITE&instead[0][old]=@Rust&instead[0][new]=%23123456")->assertOk()->getContent())->not->toBe($picture('KITE'));
    $this->deleteJson("/api/recipes/$named")->assertNoContent();
    $file = $this->get("/api/recipes/$id/file")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="rust-plain.recipe.json"')->getContent();
    $this->postJson('/api/recipes', ['recipe' => $file])->assertCreated()->assertJsonPath('name', 'Rust: plain');
    foreach (['{"format":"tallcrow.recipe/1","name":"x","layers":[]}', '{"format":"other"}', 'nonsense', str_repeat('x', 1_000_001)] as $bad) {
        $this->postJson('/api/recipes', ['recipe' => $bad])->assertUnprocessable();
    }
    $this->postJson('/api/recipes', ['recipe' => json_encode(array_replace_recursive($recipe, ['layers' => [['source' => ['font' => 'rye.woff2']]]]))])->assertJsonPath('missing', ['rye.woff2']);
    $this->deleteJson("/api/recipes/$id")->assertNoContent();
    expect($this->getJson('/api/recipes')->json())->toHaveCount(2);
});
