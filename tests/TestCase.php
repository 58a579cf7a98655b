<?php

declare(strict_types=1);

namespace Tests;

use App\Bench\Briefs;
use App\Bench\Shelving;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\File;
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
        $this->shop = Shop::query()->create(['name' => 'Lantern & Rook']);
        $this->withHeader('Sec-Fetch-Site', 'same-origin')->withServerVariables(['HTTP_HOST' => '127.0.0.1', 'SERVER_NAME' => '127.0.0.1']);
    }

    protected function tearDown(): void
    {
        File::deleteDirectory((string) config('crow.storage'));
        parent::tearDown();
    }

    /** Puts demo pieces on the shelf under their own names. */
    protected function shelve(string ...$files): void
    {
        foreach ($files as $file) {
            app(Shelving::class)->put($this->shop, Fixtures::assets().'/'.$file, $file, ['licence_name' => 'OFL-1.1', 'licence_author' => 'someone', 'licence_url' => '']);
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
