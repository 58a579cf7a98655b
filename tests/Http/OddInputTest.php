<?php

declare(strict_types=1);

use App\Bench\Exports;
use App\Models\Shop;
use App\Rights\LicenceBook;
use App\Rights\ProofStore;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route as Known;
use Illuminate\Support\Facades\Route;
use TallCrow\Tests\Fixtures;

/** What no form sends. */
const ODD = [
    'bytes that are no UTF-8' => "\xff\xfe\xc3\x28", 'a list' => ['x'], 'lists in lists' => [[['x']]], 'a map' => ['a' => ['b' => 1]], 'bytes deep within' => [['name' => "\xff\xfe", 'colour' => "a\0"]], 'thirty thousand letters' => 'LONG',
    'nothing' => null, 'a negative number' => -1, 'more than any number' => 1e308, 'not a number' => 'NaN', 'a truth' => true, 'an empty text' => '', 'a null byte' => "a\0b", 'a path' => '../../etc/passwd',
];

/** Every field that any route reads. */
const FIELDS = [
    'version', 'artwork', 'operations', 'title', 'product', 'side', 'method', 'rule', 'garments', 'area', 'fit', 'name', 'width', 'height', 'ppi', 'licence', 'author', 'genre', 'held',
    'favourite', 'colours', 'count', 'text', 'left', 'top', 'x', 'y', 'without', 'show', 'file', 'verdict', 'login', 'password', 'code', 'pass', 'current', 'scopes', 'role', 'before',
    'spdx', 'licensor', 'source', 'orderNumber', 'seats', 'boughtOn', 'beginsOn', 'endsOn', 'facts', 'where', 'units', 'territories', 'asMark', 'columns', 'phrase', 'note', 'on', 'why', 'under', 'house', 'place', 'mode', 'keep', 'destinations', 'assets', 'tags', 'q', 'kind', 'page', 'film', 'pieces', 'marks', 'mirrored', 'cloth', 'scene', 'photo', 'corners', 'folds', 'seed', 'service', 'account', 'event', 'address', 'price', 'reason', 'job', 'judgedBy', 'card', 'countries', 'lead', 'ahead', 'design', 'gather', 'aWeek', 'rrule', 'days', 'designs', 'listWeeks', 'dropped', 'words', 'niche', 'inspiredBy', 'year', 'link', 'asset', 'pattern', 'table', 'instead', 'slot', 'list', 'values', 'from', 'to', 'cross', 'changes', 'frozen', 'fewerColours', 'cut', 'scribbles',
];

/** @return array<string, string> */
function licenceRows(Shop $shop): array
{
    $licence = app(LicenceBook::class)->named($shop, 'Kite pack', '') ?? throw new LogicException('No licence.');
    $file = Fixtures::temporary('proof').'/receipt.txt';
    file_put_contents($file, 'Order 12');

    return ['licence' => (string) $licence->id, 'proof' => (string) app(ProofStore::class)->keep($shop, $licence, $file, 'receipt.txt')->id, 'collection' => (string) $shop->collections()->create(['name' => 'Kites'])->id, 'watched' => (string) $shop->watched()->create(['phrase' => 'brindle'])->id];
}

it('answers odd values in any field of any route in words, and shows nothing of its insides', function (string $method): void {
    $this->shelve('moth.svg', 'rock-pool.png');
    $job = $this->job([Fixtures::shape('kite', 'rectangle', 2.0)]);
    $export = app(Exports::class)->start($job->load('head'));
    $rows = ['job' => $job->id, 'revision' => $job->head_id, 'export' => $export->id, 'asset' => $this->shop->assets()->where('type', 'png')->value('id'), 'area' => 1, 'word' => 1, 'recipe' => 1, 'person' => $this->user->id, 'token' => 1, 'layer' => 'kite', 'line' => 0, 'kind' => 'csv', 'batch' => 'none', 'house' => 1, 'gang' => 1, 'sheet' => 'film-1.png', 'row' => 1, 'event' => 1, 'work' => 1, 'idea' => 1] + licenceRows($this->shop);
    $tried = 0;
    foreach (Route::getRoutes() as $route) {
        assert($route instanceof Known);
        if (! str_starts_with($route->uri(), 'api/') || ! in_array($method, $route->methods(), true)) {
            continue;
        }
        foreach (ODD as $what => $value) {
            $value = $value === 'LONG' ? str_repeat('x', 30_000) : $value;
            $uri = '/'.preg_replace_callback('/\{(\w+)\??\}/', fn (array $found): string => (string) $rows[$found[1]], $route->uri());
            $fields = array_fill_keys(FIELDS, $value);
            // Through forms and addresses, since JSON cannot carry all of it.
            $this->signIn($this->user->refresh());
            $answer = $method === 'GET' ? $this->getJson($uri.'?'.http_build_query($fields)) : $this->call($method, $uri, $fields, server: ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_CSRF_TOKEN' => 'of-the-page']);
            expect($answer->getStatusCode())->toBeLessThan(500, "$method $uri with $what: ".mb_substr((string) $answer->getContent(), 0, 300));
            if ($answer->getStatusCode() >= 400) {
                expect((string) $answer->getContent())->not->toMatch('/SQLSTATE|select \*|App\\\\|TallCrow\\\\|vendor\/|\/work\//', "$method $uri with $what")
                    // In the words of the shop (lang/en/validation.php), not those of the framework.
                    ->not->toMatch('/The [a-zA-Z0-9 .]+ field (is|must|has)|validation\.[a-z]/', "$method $uri with $what");
            }
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(0);
})->with(['GET', 'POST', 'PUT', 'DELETE']);

it('answers odd bytes in a JSON body in words', function (string $body): void {
    $job = $this->job();
    foreach (['PUT' => "/api/jobs/{$job->id}/artwork", 'POST' => "/api/jobs/{$job->id}/operations"] as $method => $uri) {
        $answer = $this->call($method, $uri, server: ['HTTP_ACCEPT' => 'application/json', 'HTTP_X_CSRF_TOKEN' => 'of-the-page', 'CONTENT_TYPE' => 'application/json'], content: $body);
        expect($answer->status())->toBe(422);
    }
})->with(['no JSON' => '{"version":1', 'bytes' => "{\"version\":1,\"artwork\":\"\xff\xfe\"}", 'a number' => '5', 'a deep nest' => str_repeat('[', 600).str_repeat(']', 600), 'a list' => '[1,2]', 'odd parts' => '{"version":1,"artwork":{"layers":{"a":5},"title":[1],"sheet":"x"},"operations":[[[]],{"op":["x"]},{"op":5}]}']);

it('refuses broken and cut uploads of every kind in words', function (string $head, string $name): void {
    $answer = $this->post('/api/assets', ['file' => UploadedFile::fake()->createWithContent($name, $head.random_bytes(300)), 'licence' => 'own', 'held' => '1'], ['Accept' => 'application/json']);
    expect($answer->status())->toBe(422)->and($answer->json('message'))->not->toContain('/tmp');
})->with(['a PNG' => ["\x89PNG\r\n\x1a\n", 'a.png'], 'a JPEG' => ["\xff\xd8\xff\xe0", 'a.jpg'], ['RIFFxxxxWEBPVP8 ', 'a.webp'], ['OTTO', 'a.otf'], ["\0\1\0\0", 'a.ttf'], ['wOF2', 'a.woff2'], ["PK\3\4", 'a.zip'], ['<svg xmlns="http://www.w3.org/2000/svg">', 'a.svg'], ['', 'a.png']]);

it('refuses a font that was cut short', function (float $share): void {
    $whole = (string) file_get_contents(Fixtures::assets().'/alfa-slab-one.woff2');
    $this->post('/api/assets', ['file' => UploadedFile::fake()->createWithContent('cut.woff2', substr($whole, 0, (int) ($share * strlen($whole)))), 'licence' => 'own', 'held' => '1'], ['Accept' => 'application/json'])->assertUnprocessable();
})->with([0.3, 0.7, 0.95, 0.999]);

it('takes a save once, however often it arrives', function (): void {
    $job = $this->job();
    $sheet = ['title' => 'Kite day'] + $job->head->read()->toArray();
    $send = fn (string $key) => $this->withHeader('Idempotency-Key', $key)->putJson("/api/jobs/{$job->id}/artwork", ['version' => 1, 'artwork' => $sheet]);
    $first = $send('a-key-of-a-save')->assertOk()->json();
    expect($send('a-key-of-a-save')->assertOk()->json())->toBe($first);
    $send('another-key-of-a-save')->assertConflict();
    expect($job->revisions()->count())->toBe(2);
});
