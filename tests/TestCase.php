<?php

declare(strict_types=1);

namespace Tests;

use App\Bench\Briefs;
use App\Bench\Provenance;
use App\Bench\Shelving;
use App\Files\ShopFiles;
use App\Http\Answers\Answer;
use App\Models\PrintJob;
use App\Models\Role;
use App\Models\Shop;
use App\Models\User;
use App\People\Accounts;
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

    protected User $user;

    protected function setUp(): void
    {
        parent::setUp();
        // Tests run beside one another, each in a place of its own.
        config(['crow.storage' => self::place().'/shops']);
        $this->shop = Shop::query()->create(['name' => 'Lantern & Rook']);
        $this->user = app(Accounts::class)->add($this->shop, Role::Owner, 'Wren', 'wren', null);
        $this->signIn($this->user)->withServerVariables(['HTTP_HOST' => '127.0.0.1', 'SERVER_NAME' => '127.0.0.1']);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory(self::place());
        parent::tearDown();
    }

    private static function place(): string
    {
        return sys_get_temp_dir().'/tall-crow-testing-'.getmypid();
    }

    /** As a browser that is signed in and has loaded a page: with a session and its token against forged requests. */
    protected function signIn(User $user): static
    {
        auth()->forgetGuards();

        return $this->actingAs($user, 'web')->withSession(['_token' => 'of-the-page', 'era' => $user->session_era])->withHeader('X-CSRF-TOKEN', 'of-the-page');
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

    /** The file of a piece is gone from wherever files are kept; its row is not. */
    protected function loseFile(string $file): void
    {
        ShopFiles::of($this->shop)->dropAsset($this->shop->assets()->where('file', $file)->firstOrFail());
    }

    /** Puts demo pieces on the shelf under their own names. */
    public function shelve(string ...$files): void
    {
        foreach ($files as $file) {
            app(Shelving::class)->put($this->shop, Fixtures::assets().'/'.$file, $file, new Provenance('OFL-1.1', 'someone'));
        }
    }

    /**
     * @param  list<array<string, mixed>>  $layers
     * @param  list<array<string, mixed>>  $distress
     */
    public function job(array $layers = [], string $title = 'Bell ringers', array $distress = []): PrintJob
    {
        $artwork = ArtworkReader::data(['title' => $title, 'distress' => $distress] + Fixtures::sheet($layers));

        return app(Briefs::class)->start($this->shop, PrintArea::pixels('Small', 900, 1200, $artwork->sheet->ppi), $artwork);
    }
}
