<?php

declare(strict_types=1);

use App\Bench\Briefs;
use App\Bench\Exports;
use App\Bench\Provenance;
use App\Bench\Shelving;
use App\Models\Asset;
use App\Models\CalendarEvent;
use App\Models\Comment;
use App\Models\Export;
use App\Models\Idea;
use App\Models\JournalEntry;
use App\Models\PlannedWork;
use App\Models\PrintJob;
use App\Models\Revision;
use App\Models\Role;
use App\Models\Series;
use App\Models\Shop;
use App\Models\User;
use App\People\Accounts;
use App\Rights\ProofStore;
use App\Tenancy\CurrentShop;
use Illuminate\Routing\Route as Known;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Route;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Measure\PrintArea;
use TallCrow\Tests\Fixtures;

/**
 * Rows of a second shop, by the names that they have in addresses.
 *
 * @return array<string, string>
 */
function rowsOfAnotherShop(): array
{
    $shop = Shop::query()->create(['name' => 'Tide-pool rangers']);
    $person = app(Accounts::class)->add($shop, Role::Owner, 'Limpet', 'limpet', null);
    $artwork = ArtworkReader::data(Fixtures::sheet([Fixtures::shape('kite', 'rectangle', 2.0)]));
    $job = app(Briefs::class)->start($shop, PrintArea::pixels('Small', 900, 1200, $artwork->sheet->ppi), $artwork);
    $asset = app(Shelving::class)->put($shop, Fixtures::assets().'/moth.svg', 'moth.svg', new Provenance('CC0-1.0', 'someone'));
    $export = app(Exports::class)->start($job->load('head'));
    Comment::query()->create(['shop_id' => $shop->id, 'print_job_id' => $job->id, 'revision_id' => $job->head_id, 'user_id' => $person->id, 'verdict' => 'note', 'text' => 'ours alone']);

    $series = Series::query()->create(['shop_id' => $shop->id, 'print_job_id' => $job->id, 'pattern' => json_encode(['format' => 'tallcrow.pattern/1', 'title' => '', 'slots' => []])]);

    return [
        'row' => (string) $series->rows()->create(['shop_id' => $shop->id, 'position' => 1, 'values' => ['Name' => 'theirs alone']])->id,
        'event' => (string) CalendarEvent::query()->create(['shop_id' => $shop->id, 'name' => 'limpet day', 'starts_on' => '2027-01-01'])->id,
        'work' => (string) PlannedWork::query()->create(['shop_id' => $shop->id, 'title' => 'limpets', 'occurs_on' => '2027-01-01', 'list_weeks' => 4])->id,
        'idea' => (string) Idea::query()->create(['shop_id' => $shop->id, 'words' => 'limpets, limpets'])->id,
        'job' => (string) $job->id, 'revision' => (string) $job->head_id, 'export' => (string) $export->id, 'asset' => (string) $asset->id,
        'area' => (string) $shop->areas()->create(['name' => 'Rock', 'width' => 900, 'height' => 900, 'ppi' => 300])->id,
        'recipe' => (string) $shop->recipes()->create(['name' => 'Theirs', 'body' => json_encode(['format' => 'tallcrow.recipe/1', 'name' => 'Theirs', 'layers' => [$artwork->layers[0]->toArray()], 'swatches' => []])])->id,
        'word' => (string) $shop->words()->create(['word' => 'limpetry'])->id,
        'person' => (string) $person->id, 'token' => (string) $person->createToken('theirs')->accessToken->id,
        'layer' => $artwork->layers[0]->id, 'line' => '0', 'kind' => 'csv', 'batch' => 'none', 'sheet' => 'film-1.png',
        'gang' => (string) $shop->gangs()->create(['asked' => ['film' => ['width' => 10, 'length' => 10, 'gap' => 0, 'margin' => 0], 'mirrored' => true, 'marks' => true, 'pieces' => []]])->id,
        'house' => (string) $shop->houses()->create(['name' => 'Theirs', 'body' => json_encode(['format' => 'tallcrow.house/1', 'name' => 'Theirs', 'places' => []])])->id,
        'licence' => (string) $asset->licence_id, 'proof' => proofOf($shop, $asset), 'collection' => (string) $shop->collections()->create(['name' => 'Theirs'])->id, 'watched' => (string) $shop->watched()->create(['phrase' => 'limpet'])->id,
    ];
}

function proofOf(Shop $shop, Asset $asset): string
{
    $file = Fixtures::temporary('proof').'/receipt.txt';
    file_put_contents($file, 'Order 12');

    return (string) app(ProofStore::class)->keep($shop, $asset->licence ?? throw new LogicException('No licence.'), $file, 'receipt.txt')->id;
}

/** @return list<Known> every route under api/ */
function apiRoutes(): array
{
    return array_values(array_filter(iterator_to_array(Route::getRoutes()), fn (Known $route): bool => str_starts_with($route->uri(), 'api/')));
}

it('opens nothing of another shop by any route, those that will be added included', function (): void {
    $rows = rowsOfAnotherShop();
    $before = [PrintJob::query()->count(), Revision::query()->count(), Export::query()->count(), Asset::query()->count(), User::query()->count(), Comment::query()->count()];
    $tried = 0;
    foreach (apiRoutes() as $route) {
        $names = array_values(array_diff($route->parameterNames(), ['kind']));
        if ($names === []) {
            continue;
        }
        foreach ($names as $name) {
            expect($rows)->toHaveKey($name, message: "This test knows no row for {{$name}} of {$route->uri()}: give it one of the other shop.");
        }
        $uri = preg_replace_callback('/\{(\w+)\??\}/', fn (array $found): string => $rows[$found[1]], $route->uri());
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $answer = $this->json($method, "/$uri?ppi=20", ['version' => 1, 'role' => 'owner', 'verdict' => 'note', 'text' => 'x']);
            expect($answer->status())->toBe(404, "$method $uri");
            $tried++;
        }
    }
    expect($tried)->toBeGreaterThan(30)
        ->and([PrintJob::query()->count(), Revision::query()->count(), Export::query()->count(), Asset::query()->count(), User::query()->count(), Comment::query()->count()])->toBe($before);
});

it('lists rows of its own shop alone', function (): void {
    $this->shelve('moth.svg');
    $mine = $this->job(title: 'Mine');
    rowsOfAnotherShop();
    expect($this->getJson('/api/jobs')->json('*.title'))->toBe(['Mine'])
        ->and($this->getJson('/api/assets')->json('*.file'))->toBe(['moth.svg'])
        ->and($this->getJson('/api/areas')->json())->toBe([])
        ->and($this->getJson('/api/people')->json('*.login'))->toBe(['wren'])
        ->and($this->getJson("/api/jobs/{$mine->id}/comments")->json())->toBe([]);
    $this->postJson("/api/jobs/{$mine->id}/comments", ['verdict' => 'note', 'text' => 'Kite is crooked.'])->assertCreated();
    expect($this->getJson('/api/journal')->assertOk()->json('*.who'))->toBe(['Wren'])
        ->and(JournalEntry::query()->count())->toBe(1);
});

it('asks for a sign-in at every route but the doors', function (): void {
    $rows = rowsOfAnotherShop();
    auth('web')->logout();
    $this->flushSession()->withSession(['_token' => 'of-the-page']);
    $doors = ['api/session', 'api/session/enter', 'api/session/join', 'api/session/reset'];
    foreach (apiRoutes() as $route) {
        $uri = preg_replace_callback('/\{(\w+)\??\}/', fn (array $found): string => $rows[$found[1]] ?? ($found[1] === 'kind' ? 'csv' : '1'), $route->uri());
        foreach (array_diff($route->methods(), ['HEAD']) as $method) {
            $status = $this->withSession(['_token' => 'of-the-page'])->json($method, "/$uri")->status();
            in_array($route->uri(), $doors, true) ? expect($status)->toBeIn([204, 422], "$method $uri") : expect($status)->toBe(401, "$method $uri");
        }
    }
});

it('keeps its guards when the routes are cached', function (): void {
    $rows = rowsOfAnotherShop();
    // Where no test that runs beside this one finds them.
    $place = $_ENV['APP_ROUTES_CACHE'];
    $cacheAt = function (string $path): void {
        putenv("APP_ROUTES_CACHE=$path");
        $_SERVER['APP_ROUTES_CACHE'] = $_ENV['APP_ROUTES_CACHE'] = $path;
    };
    $cached = sys_get_temp_dir().'/tall-crow-routes-'.getmypid().'.php';
    $cacheAt($cached);
    try {
        expect(Artisan::call('route:cache'))->toBe(0);
        $this->refreshApplication();
        expect(app()->routesAreCached())->toBeTrue()->and(app()->getCachedRoutesPath())->toBe($cached);
        $routes = app('router')->getRoutes();
        $open = array_filter(iterator_to_array($routes), fn (Known $route): bool => str_starts_with($route->uri(), 'api/') && ! str_starts_with($route->uri(), 'api/session')
            && (! in_array(App\Http\Middleware\Permitted::class, app('router')->gatherRouteMiddleware($route), true) || ! in_array(App\Http\Middleware\EnterShop::class, app('router')->gatherRouteMiddleware($route), true)));
        expect($open)->toBe([])->and($rows)->not->toBe([]);
    } finally {
        $cacheAt($place);
        @unlink($cached);
    }
});

it('finds nothing at all while no shop is entered', function (): void {
    $this->job();
    app(CurrentShop::class)->close();
    expect(PrintJob::query()->count())->toBe(0)->and(Revision::query()->count())->toBe(0)->and(Asset::query()->count())->toBe(0);
    app(CurrentShop::class)->open();
    expect(PrintJob::query()->count())->toBe(1);
});
