<?php

declare(strict_types=1);

namespace Tests;

use App\Bench\Briefs;
use App\Bench\Provenance;
use App\Bench\Shelving;
use App\Http\Answers\Answer;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Measure\PrintArea;
use TallCrow\Tests\Fixtures;

abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    protected Shop $shop;

    protected function setUp(): void
    {
        parent::setUp();
        // Tests run beside one another, each in a place of its own.
        config(['crow.storage' => sys_get_temp_dir().'/tall-crow-testing-'.getmypid().'/shops']);
        $this->shop = Shop::query()->create(['name' => 'Lantern & Rook']);
        $this->withHeader('Sec-Fetch-Site', 'same-origin')->withServerVariables(['HTTP_HOST' => '127.0.0.1', 'SERVER_NAME' => '127.0.0.1']);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory(dirname((string) config('crow.storage')));
        parent::tearDown();
    }

    /** Whatever is asked, the answer has the form that the API's description gives it. */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $action = Route::current()?->getActionName() ?? '';
        [$class, $name] = array_pad(explode('@', $action), 2, '__invoke');
        $returns = class_exists($class) ? (new \ReflectionMethod($class, $name))->getReturnType() : null;
        if ($response->isSuccessful() && $returns instanceof \ReflectionNamedType && is_subclass_of($returns->getName(), Answer::class)) {
            self::assertSame([], Described::faults((string) $response->getContent(), class_basename($returns->getName())), "$method $uri");
        }

        return $response;
    }

    /** Puts demo pieces on the shelf under their own names. */
    protected function shelve(string ...$files): void
    {
        foreach ($files as $file) {
            app(Shelving::class)->put($this->shop, Fixtures::assets().'/'.$file, $file, new Provenance('OFL-1.1', 'someone'));
        }
    }

    /**
     * @param  list<array<string, mixed>>  $layers
     * @param  list<array<string, mixed>>  $distress
     */
    protected function job(array $layers = [], string $title = 'Bell ringers', array $distress = []): PrintJob
    {
        $artwork = ArtworkReader::data(['title' => $title, 'distress' => $distress] + Fixtures::sheet($layers));

        return app(Briefs::class)->start($this->shop, PrintArea::pixels('Small', 900, 1200, $artwork->sheet->ppi), $artwork);
    }
}
