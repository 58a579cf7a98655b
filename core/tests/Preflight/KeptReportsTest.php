<?php

declare(strict_types=1);

use TallCrow\Artwork\Artwork;
use TallCrow\Asset\FolderShelf;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;
use TallCrow\Preflight\Demands;
use TallCrow\Preflight\KeptReports;
use TallCrow\Preflight\Method;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;
use TallCrow\Render\FolderPictures;
use TallCrow\Render\Renderer;
use TallCrow\Tests\Fixtures;

/** A shelf with one picture, a store of reports, and how often something was measured. */
final class KeptOfShop
{
    public int $times = 0;

    private string $shelf;

    public function __construct(public string $kept)
    {
        $this->shelf = Fixtures::temporary('shelf');
        $this->put('white');
    }

    public function put(string $colour): void
    {
        Fixtures::run(['convert', '-size', '400x400', 'xc:none', '-fill', $colour, '-draw', 'circle 200,200 200,30', "png32:$this->shelf/moth.png"]);
        clearstatcache();
    }

    public function takeAway(): void
    {
        unlink("$this->shelf/moth.png");
        clearstatcache();
    }

    /** @param  list<string>  $words */
    public function report(Artwork $artwork, ?PrintArea $area = null, bool $closely = false, array $words = [], ?Demands $demands = null): Report
    {
        // As in a request of its own.
        $shelf = new FolderShelf($this->shelf);
        $reports = new KeptReports(new FolderPictures($this->kept), $shelf, $this->kept);

        return $reports->report($artwork, $area, $closely, $words, $demands, function () use ($artwork, $shelf, $area, $closely, $words, $demands): Report {
            $this->times++;

            return Preflight::artwork($artwork, new Renderer($shelf), $shelf, $area, closely: $closely, words: $words, demands: $demands);
        });
    }
}

function kept_of_shop(): KeptOfShop
{
    return new KeptOfShop(Fixtures::temporary('kept'));
}

/** A moth that is printed too large for its pixels. */
function moth_too_large(float $width = 2.5): Artwork
{
    return Fixtures::artwork([['id' => 'moth', 'source' => ['kind' => 'art', 'file' => 'moth.png'], 'placement' => ['x' => 1.5, 'y' => 2, 'width' => $width]]]);
}

it('measures a sheet once, and gives the same report with its mends from then on', function (): void {
    $shop = kept_of_shop();
    $first = $shop->report(moth_too_large());
    expect($shop->report(moth_too_large()))->toEqual($first)->and($shop->times)->toBe(1)
        ->and($first->findings)->not->toBe([])->and(array_merge(...array_map(fn ($finding): array => $finding->mends, $first->findings)))->not->toBe([]);
    // One change, and one step back.
    $shop->report(moth_too_large(2.0));
    $shop->report(moth_too_large());
    expect($shop->times)->toBe(2);
});

it('measures anew what anything of it hangs on', function (Closure $changed): void {
    $shop = kept_of_shop();
    $before = $shop->report(moth_too_large());
    $after = $changed($shop);
    expect($shop->times)->toBe(2)->and($after)->toBeInstanceOf(Report::class)->and($before->findings)->not->toBe([]);
})->with([
    'the sheet' => fn (KeptOfShop $shop): Report => $shop->report(moth_too_large(2.4999)),
    'what is asked for' => fn (KeptOfShop $shop): Report => $shop->report(moth_too_large(), PrintArea::pixels('chest', 1200, 1200, Ppi::of(300))),
    'how closely' => fn (KeptOfShop $shop): Report => $shop->report(moth_too_large(), closely: true),
    'how words are spelt' => fn (KeptOfShop $shop): Report => $shop->report(moth_too_large(), words: ['tidepool']),
    'demands' => fn (KeptOfShop $shop): Report => $shop->report(moth_too_large(), demands: new Demands('a house', 120, Method::of(moth_too_large()->brief->method))),
    'a picture' => function (KeptOfShop $shop): Report {
        $shop->put('#16181a');

        return $shop->report(moth_too_large());
    },
]);

it('keeps no report of a sheet with a line that cannot be drawn', function (): void {
    $shop = kept_of_shop();
    $shop->takeAway();
    foreach ([1, 2] as $times) {
        expect($shop->report(moth_too_large())->finding('trouble:moth'))->not->toBeNull()->and($shop->times)->toBe($times);
    }
    $shop->put('white');
    expect($shop->report(moth_too_large())->finding('trouble:moth'))->toBeNull()->and($shop->times)->toBe(3);
});

it('measures anew where what was kept is no report', function (string $broken): void {
    $shop = kept_of_shop();
    $first = $shop->report(moth_too_large());
    $texts = glob("$shop->kept/t*") ?: [];
    expect($texts)->toHaveCount(1);
    file_put_contents($texts[0], $broken);
    expect($shop->report(moth_too_large()))->toEqual($first)->and($shop->times)->toBe(2);
})->with(['', 'null', '{"findings": 3}', '{"findings": [{"key": "haze"}]}', '{"findings": [']);
