<?php

declare(strict_types=1);

use App\Models\Asset;
use App\Models\PrintJob;
use App\Models\Shop;
use App\Shelf\ShelfBin;
use Illuminate\Http\UploadedFile;
use TallCrow\Tests\Fixtures;

function mothOf(object $test, string $file = 'moth.svg'): PrintJob
{
    return $test->job([['id' => 'moth', 'source' => ['kind' => 'art', 'file' => $file], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => 2, 'height' => null]]]);
}

/** @return list<string> */
function shelfNames(object $test, string $query): array
{
    return array_column($test->getJson("/api/shelf?$query")->assertOk()->json('cards'), 'file');
}

it('finds pieces by the beginnings of words, by kind, tag, licence and use', function (): void {
    $this->shelve('moth.svg', 'rock-pool.png', 'rye.woff2', 'graduate.woff2');
    mothOf($this);
    $ids = Asset::query()->pluck('id', 'file');
    $this->putJson('/api/shelf/tags', ['assets' => [$ids['moth.svg'], $ids['rock-pool.png']], 'tags' => ['Night-flyers'], 'on' => true])->assertNoContent();
    $licence = $this->postJson('/api/licences', ['name' => 'Private font', 'facts' => ['commercial' => ['value' => 'no']]])->json('id');
    $this->putJson('/api/shelf/licence', ['assets' => [$ids['rye.woff2']], 'licence' => $licence])->assertNoContent();
    $job = PrintJob::query()->sole()->id;

    expect(shelfNames($this, 'q=roc'))->toBe(['rock-pool.png'])->and(shelfNames($this, 'q=night'))->toEqualCanonicalizing(['moth.svg', 'rock-pool.png'])->and(shelfNames($this, 'q=night+moth'))->toBe(['moth.svg'])
        ->and(shelfNames($this, 'kind=font'))->toEqualCanonicalizing(['graduate.woff2', 'rye.woff2'])->and(shelfNames($this, 'tag=night-flyers&kind=art'))->toHaveCount(2)
        ->and(shelfNames($this, "licence=$licence"))->toBe(['rye.woff2'])->and(shelfNames($this, 'used=yes'))->toBe(['moth.svg'])->and(shelfNames($this, 'used=no'))->not->toContain('moth.svg')
        ->and(shelfNames($this, "for=$job"))->not->toContain('rye.woff2')->toContain('graduate.woff2')->and(shelfNames($this, 'q=private'))->toBe(['rye.woff2'])->and(shelfNames($this, 'q=%22%27%29%3B--'))->toHaveCount(4)
        ->and($this->getJson('/api/shelf')->json())->toMatchArray(['total' => 4, 'page' => 1, 'pages' => 1, 'tags' => ['night-flyers'], 'collections' => []]);
    $this->putJson('/api/shelf/tags', ['assets' => [$ids['moth.svg']], 'tags' => ['night-flyers'], 'on' => false])->assertNoContent();
    expect(shelfNames($this, 'tag=night-flyers'))->toBe(['rock-pool.png']);
    $this->putJson('/api/shelf/tags', ['assets' => [], 'tags' => [''], 'on' => true])->assertJsonValidationErrors(['assets', 'tags.0']);
});

it('tells of a piece where it is used, what it serves, and what is like it', function (): void {
    $this->shelve('rock-pool.png', 'rye.woff2');
    $pool = Asset::query()->where('file', 'rock-pool.png')->sole();
    $small = Fixtures::temporary('like').'/pool-small.png';
    exec('convert '.escapeshellarg(Fixtures::shelf()->path('rock-pool.png')).' -resize 60% '.escapeshellarg($small));
    $this->post('/api/assets', ['file' => new UploadedFile($small, 'pool-small.png', test: true), 'licence' => 'our own', 'held' => '1'])->assertCreated();
    mothOf($this, 'rock-pool.png');
    $told = $this->getJson("/api/assets/{$pool->id}")->assertOk()->json();
    $rye = Asset::query()->where('file', 'rye.woff2')->sole();

    expect($told['uses'][0])->toMatchArray(['prints' => true])->and($told['servesWidth'])->toEqualWithDelta($pool->width / 300, 0.006)->and(array_column($told['alike'], 'file'))->toBe(['pool-small.png'])->and($told['same'])->toBe([])
        ->and($told['colours'])->not->toBeEmpty()->and($told['sha256'])->toBe(hash_file('sha256', Fixtures::shelf()->path('rock-pool.png')))
        ->and($this->getJson("/api/assets/{$rye->id}")->json('languages'))->toContain('English')->and($this->getJson("/api/assets/{$rye->id}")->json('font'))->toMatchArray(['weight' => 400, 'weightName' => 'regular', 'axes' => []]);
    $this->putJson("/api/assets/{$pool->id}", ['title' => 'The pool at low tide', 'genre' => ''])->assertOk()->assertJsonPath('title', 'The pool at low tide');
    expect(shelfNames($this, 'q=low+tide'))->toBe(['rock-pool.png']);
});

it('keeps what a design needs, and lays the rest in a bin for a month', function (): void {
    $this->shelve('moth.svg', 'rock-pool.png');
    $job = mothOf($this);
    [$moth, $pool] = [Asset::query()->where('file', 'moth.svg')->sole(), Asset::query()->where('file', 'rock-pool.png')->sole()];
    expect($this->deleteJson("/api/assets/{$moth->id}")->assertConflict()->json('message'))->toContain('moth is needed by "Bell ringers"');
    $this->deleteJson("/api/assets/{$pool->id}")->assertOk();
    expect(shelfNames($this, ''))->toBe(['moth.svg'])->and(shelfNames($this, 'bin=1'))->toBe(['rock-pool.png'])->and($this->getJson('/api/assets')->json('*.file'))->toBe(['moth.svg']);
    $this->postJson("/api/assets/{$pool->id}/back")->assertOk();
    expect(shelfNames($this, 'bin=1'))->toBe([]);

    $this->deleteJson("/api/assets/{$pool->id}")->assertOk();
    $this->travel(29)->days();
    expect(app(ShelfBin::class)->tidy())->toBe(0);
    $this->travel(2)->days();
    expect(app(ShelfBin::class)->tidy())->toBe(1)->and(is_file($this->shop->folder('assets').'/rock-pool.png'))->toBeFalse();

    // A sheet to which undo may lead back keeps its picture.
    $this->postJson("/api/jobs/{$job->id}/operations", ['version' => 1, 'operations' => [['op' => 'remove', 'ids' => ['moth']]]])->assertOk();
    $this->deleteJson("/api/assets/{$moth->id}")->assertOk();
    $this->travel(31)->days();
    expect(app(ShelfBin::class)->tidy())->toBe(0);
});

it('replaces a piece everywhere by a better copy, one step on in each design', function (): void {
    $this->shelve('moth.svg', 'rock-pool.png', 'rye.woff2');
    [$one, $two] = [mothOf($this, 'rock-pool.png'), mothOf($this, 'rock-pool.png')];
    $pool = Asset::query()->where('file', 'rock-pool.png')->sole();
    $done = $this->post("/api/assets/{$pool->id}/replace", ['file' => new UploadedFile(Fixtures::assets().'/moth.svg', 'better.svg', test: true)])->assertCreated()->json();

    expect($done['asset']['file'])->toBe('better.svg')->and(array_column($done['jobs'], 'job'))->toEqualCanonicalizing([$one->id, $two->id])->and($one->fresh()->load('head')->head->artwork)->toContain('better.svg')
        ->and($done['jobs'][0]['before'])->not->toBe($done['jobs'][0]['after']);
    $this->postJson("/api/jobs/{$one->id}/undo", ['version' => $one->fresh()->version])->assertOk();
    expect($one->fresh()->load('head')->head->artwork)->toContain('rock-pool.png');
    $this->post("/api/assets/{$pool->id}/replace", ['file' => new UploadedFile(Fixtures::assets().'/rye.woff2', 'rye.woff2', test: true)], ['Accept' => 'application/json'])->assertUnprocessable();
    expect(Asset::query()->where('file', 'like', 'rye%')->count())->toBe(1);
});

it('takes a whole shelf along, with licences and proofs, and takes it in elsewhere', function (): void {
    $this->shelve('moth.svg', 'rye.woff2');
    $licence = $this->postJson('/api/licences', ['name' => 'Moth pack', 'orderNumber' => 'QC-118', 'endsOn' => '2031-05-01', 'facts' => ['sales' => ['value' => 'in-all', 'number' => 500]]])->json('id');
    $this->post("/api/licences/$licence/proofs", ['file' => UploadedFile::fake()->createWithContent('receipt.txt', 'Order 118')])->assertCreated();
    $moth = Asset::query()->where('file', 'moth.svg')->sole();
    $this->putJson('/api/shelf/licence', ['assets' => [$moth->id], 'licence' => $licence])->assertNoContent();
    $this->putJson('/api/shelf/tags', ['assets' => [$moth->id], 'tags' => ['wings'], 'on' => true])->assertNoContent();
    $file = Fixtures::temporary('shelf').'/shelf.zip';
    copy($this->get('/api/shelf/file')->assertOk()->baseResponse->getFile()->getPathname(), $file);

    $other = Shop::query()->create(['name' => 'Tide-pool rangers']);
    $this->signIn(app(\App\People\Accounts::class)->add($other, \App\Models\Role::Owner, 'Limpet', 'limpet', null));
    $done = $this->post('/api/shelf/file', ['file' => new UploadedFile($file, 'shelf.zip', test: true)])->assertCreated()->json();
    $again = $this->post('/api/shelf/file', ['file' => new UploadedFile($file, 'shelf.zip', test: true)])->assertCreated()->json();
    $held = collect($this->getJson('/api/licences')->json())->firstWhere('name', 'Moth pack');

    expect($done)->toMatchArray(['taken' => 2, 'known' => 0, 'proofs' => 1, 'problems' => []])->and($again)->toMatchArray(['taken' => 0, 'known' => 2, 'licences' => 0, 'proofs' => 0])
        ->and($held)->toMatchArray(['orderNumber' => 'QC-118', 'endsOn' => '2031-05-01', 'assets' => 1])->and($held['proofs'][0]['sha256'])->toBe(hash('sha256', 'Order 118'))
        ->and(shelfNames($this, 'tag=wings'))->toBe(['moth.svg']);
});

it('takes nothing from a hostile shelf but what is whole', function (array $list, array $files, ?string $problem): void {
    $path = Fixtures::temporary('shelf').'/shelf.zip';
    $zip = new ZipArchive;
    $zip->open($path, ZipArchive::CREATE);
    $zip->addFromString('shelf.json', json_encode($list));
    foreach ($files as $name => $content) {
        $zip->addFromString($name, $content);
    }
    $zip->close();
    $answer = $this->post('/api/shelf/file', ['file' => new UploadedFile($path, 'shelf.zip', test: true)], ['Accept' => 'application/json']);

    expect($problem === null ? $answer->assertUnprocessable()->json('message') : $answer->assertCreated()->json('problems.0'))->toContain($problem ?? 'no shelf.json')->and(Asset::query()->count())->toBe(0);
})->with([
    'no shelf' => [['format' => 'something/1'], [], null],
    'a path' => [['format' => 'tallcrow.shelf/1', 'licences' => [], 'assets' => [['file' => '../../../etc/passwd', 'title' => 'x']]], ['assets/../../../etc/passwd' => 'root'], 'passwd'],
    'a file that is not there' => [['format' => 'tallcrow.shelf/1', 'assets' => [['file' => 'moth.svg']]], [], 'named in the list and not in the zip'],
    'a picture that is none' => [['format' => 'tallcrow.shelf/1', 'assets' => [['file' => 'moth.png']]], ['assets/moth.png' => '<script>'], 'moth.png'],
    'terms that are none' => [['format' => 'tallcrow.shelf/1', 'licences' => [['name' => 'L', 'facts' => ['taste' => ['value' => 'yes']]]]], [], 'is no fact of a licence'],
    'a proof that was changed' => [['format' => 'tallcrow.shelf/1', 'licences' => [['name' => 'L', 'facts' => [], 'proofs' => [['name' => 'r.txt', 'sha256' => hash('sha256', 'a'), 'came' => '2030-01-01']]]]], ['proofs/'.hash('sha256', 'a') => 'b'], 'is not what its hash says'],
]);

it('offers fonts of the shelf that have the letters which a font lacks', function (): void {
    $this->shelve('rye.woff2', 'graduate.woff2', 'alfa-slab-one.woff2', 'moth.svg');
    $job = $this->job([Fixtures::words('word', 'KİTE ŞÖY', 2.0), Fixtures::shape('plate', 'rectangle', 1)]);
    $has = fn (string $file): bool => array_filter(mb_str_split('KİTEŞÖY'), fn (string $c): bool => ! Fixtures::shelf()->font($file)->has($c)) === [];
    $offered = $this->getJson("/api/revisions/{$job->head_id}/layers/word/fonts")->assertOk()->json('*.file');

    expect($offered)->toEqualCanonicalizing(array_values(array_filter(['rye.woff2', 'graduate.woff2'], $has)));
    $this->getJson("/api/revisions/{$job->head_id}/layers/plate/fonts")->assertNotFound();
    $plain = $this->job([Fixtures::words('word', 'KITE', 2.0)]);
    expect($this->getJson("/api/revisions/{$plain->head_id}/layers/word/fonts")->json('*.file'))->toEqualCanonicalizing(['rye.woff2', 'graduate.woff2']);
});

it('keeps pieces together in collections, which the shelf is searched by', function (): void {
    $this->shelve('moth.svg', 'rock-pool.png', 'rye.woff2');
    $ids = Asset::query()->pluck('id', 'file');
    $lay = fn (string $name, array $assets) => $this->postJson('/api/shelf/collections', ['name' => $name, 'assets' => $assets]);
    $id = $lay(' Moth night ', [$ids['moth.svg']])->assertOk()->json('id');
    $lay('Moth night', [$ids['moth.svg'], $ids['rye.woff2']])->assertOk()->assertExactJson(['id' => $id, 'name' => 'Moth night', 'pieces' => 2]);
    expect(shelfNames($this, "collection=$id"))->toEqualCanonicalizing(['moth.svg', 'rye.woff2'])->and(shelfNames($this, "collection=$id&kind=art"))->toBe(['moth.svg'])
        ->and($this->getJson("/api/assets/{$ids['moth.svg']}")->json('collections.*.name'))->toBe(['Moth night'])->and($this->getJson('/api/shelf')->json('collections.*.pieces'))->toBe([2]);

    $this->postJson("/api/shelf/collections/$id/out", ['assets' => [$ids['moth.svg']]])->assertOk()->assertJsonPath('pieces', 1);
    $lay('Low tide', [$ids['rock-pool.png']]);
    foreach (['Low tide', ' Low tide ', ' '] as $taken) {
        $this->putJson("/api/shelf/collections/$id", ['name' => $taken])->assertJsonValidationErrors('name');
    }
    $this->putJson("/api/shelf/collections/$id", ['name' => 'Late moths'])->assertOk()->assertJsonPath('name', 'Late moths');
    $this->deleteJson("/api/shelf/collections/$id")->assertNoContent();
    expect(shelfNames($this, ''))->toHaveCount(3)->and($this->getJson('/api/shelf')->json('collections.*.name'))->toBe(['Low tide']);
    $lay('', [])->assertJsonValidationErrors(['name', 'assets']);
});

it('tells at once which of the pieces that came were there, or look like what was', function (): void {
    $this->shelve('rock-pool.png', 'moth.svg');
    $pool = Fixtures::shelf()->path('rock-pool.png');
    $small = Fixtures::temporary('like').'/pool-small.png';
    exec('convert '.escapeshellarg($pool).' -resize 60% '.escapeshellarg($small));
    $came = array_map(fn (string $file): int => $this->post('/api/assets', ['file' => new UploadedFile($file, 'again.png', test: true), 'licence' => 'our own', 'held' => '1'])->assertCreated()->json('0.id'), [$pool, $small]);
    $other = $this->post('/api/assets', ['file' => new UploadedFile(Fixtures::assets().'/kite.svg', 'kite.svg', test: true), 'licence' => 'our own', 'held' => '1'])->assertCreated()->json('0.id');
    $told = $this->getJson('/api/shelf/twins?'.http_build_query(['assets' => [...$came, $other]]))->assertOk()->json();

    expect(array_column($told, 'id'))->toBe($came)->and(array_column($told, 'same'))->toBe([true, false])->and($told[0]['of']['file'])->toBe('rock-pool.png')->and($told[1]['of']['file'])->toBe('rock-pool.png');
});
