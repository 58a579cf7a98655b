<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Files\ShopFiles;
use App\Http\Answers\AssetCard;
use App\Http\Answers\AssetDetail;
use App\Http\Answers\AssetUse;
use App\Http\Answers\CollectionCard;
use App\Http\Answers\ColourSeen;
use App\Http\Answers\FontHas;
use App\Http\Answers\Replaced;
use App\Http\Answers\ReplacedIn;
use App\Http\Answers\ShelfOpened;
use App\Http\Answers\ShelfPage;
use App\Http\Answers\TwinTold;
use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\JobFile;
use App\Models\Shop;
use App\Rights\SalesBook;
use App\Shelf\Replacing;
use App\Shelf\ShelfBin;
use App\Shelf\ShelfFile;
use App\Shelf\ShelfSearch;
use App\Shelf\ShelfWords;
use App\Shelf\Twins;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Type\Font;
use TallCrow\Type\Languages;

/** The shelf: search, tags, licences, the bin, export and import. */
final readonly class ShelfController
{
    private const PAGE = 60;

    private const PPI = 300;

    public function __construct(private SalesBook $sales) {}

    public function index(Request $request, Shop $shop): ShelfPage
    {
        /** @var array<string, mixed> $asked */
        $asked = $request->validate(ShelfSearch::rules());
        $found = (new ShelfSearch($shop, $asked))->found($this->sales)->paginate(self::PAGE, page: max(1, $request->integer('page', 1)));
        $all = $shop->assets()->whereNull('binned_at');
        $words = fn (string $column): array => array_values(array_filter((clone $all)->whereNot($column, '')->distinct()->orderBy($column)->pluck($column)->all(), is_string(...)));
        $tags = array_unique(array_merge([], ...array_map(fn (mixed $json): array => is_string($json) ? array_filter((array) json_decode($json, true), is_string(...)) : [], DB::table('assets')->where('shop_id', $shop->id)->whereNotNull('tags')->selectRaw('distinct cast(tags as text) as tags')->pluck('tags')->all())));
        sort($tags);

        return new ShelfPage($found->total(), $found->currentPage(), max(1, $found->lastPage()), array_values(array_map(AssetCard::of(...), $found->items())), $words('genre'), $tags, CollectionCard::all($shop->collections()->orderBy('name')->get()));
    }

    public function show(Asset $asset, Shop $shop): AssetDetail
    {
        $uses = JobFile::query()->where('shop_id', $shop->id)->where('file', $asset->file)->with('job')->get();
        $cards = fn (array $assets): array => array_values(array_map(AssetCard::of(...), $assets));
        $twins = Twins::on($shop);
        $path = $asset->kind === AssetKind::Font ? ShopFiles::of($shop)->assetPath($asset) : '';
        $isRaster = $asset->kind === AssetKind::Art && $asset->type !== 'svg';

        return new AssetDetail(
            AssetCard::of($asset),
            array_values($uses->map(fn (JobFile $use): AssetUse => new AssetUse($use->print_job_id, $use->job->title, $use->prints))->all()),
            array_map(Languages::called(...), $asset->languages ?? []),
            array_map(fn (array $one): ColourSeen => new ColourSeen($one['name'], $one['colour']), $asset->colours ?? []),
            $cards($twins->same($asset)), $cards($twins->alike($asset)),
            $isRaster && $asset->width !== null ? round($asset->width / self::PPI, 2) : null, $isRaster && $asset->height !== null ? round($asset->height / self::PPI, 2) : null,
            $this->sales->ofAsset($shop, $asset->file), $asset->sha256, $asset->created_at->toIso8601String(),
            is_file($path) ? FontHas::of(Font::fromBytes((string) file_get_contents($path))) : null,
            CollectionCard::all($asset->collections()->orderBy('name')->get()),
        );
    }

    public function update(Request $request, Asset $asset): AssetCard
    {
        /** @var array{title?: string, genre?: ?string, author?: ?string, url?: ?string} $asked */
        $asked = $request->validate(['title' => ['sometimes', 'required', 'string', 'max:200'], 'genre' => ['sometimes', 'nullable', 'string', 'max:60'], 'author' => ['sometimes', 'nullable', 'string', 'max:300'], 'url' => ['sometimes', 'nullable', 'string', 'max:500']], ['title.required' => 'Give it a title.']);
        $asset->update(array_filter(['title' => $asked['title'] ?? null, 'genre' => array_key_exists('genre', $asked) ? (string) $asked['genre'] : null, 'licence_author' => array_key_exists('author', $asked) ? (string) $asked['author'] : null, 'licence_url' => array_key_exists('url', $asked) ? (string) $asked['url'] : null], is_string(...)));
        ShelfWords::renew($asset);

        return AssetCard::of($asset);
    }

    /**
     * Of pieces that came just now, those that were on the shelf already or look like what was.
     *
     * @return list<TwinTold>
     */
    public function twins(Request $request, Shop $shop): array
    {
        /** @var array{assets: list<int>} $asked */
        $asked = $request->validate(['assets' => ['required', 'array', 'max:200'], 'assets.*' => ['integer']]);
        $twins = Twins::on($shop);
        $told = [];
        foreach ($shop->assets()->whereIn('id', $asked['assets'])->orderBy('id')->get() as $asset) {
            $same = $twins->same($asset)[0] ?? null;
            $of = $same ?? $twins->alike($asset)[0] ?? null;
            $of === null ?: $told[] = new TwinTold($asset->id, $asset->title, AssetCard::of($of), $same !== null);
        }

        return $told;
    }

    /** Adds or removes tags of several assets at once. */
    public function tag(Request $request, Shop $shop): Response
    {
        /** @var array{assets: list<int>, tags: list<string>, on: bool} $asked */
        $asked = $request->validate(['assets' => ['required', 'array', 'max:2000'], 'assets.*' => ['integer'], 'tags' => ['required', 'array', 'max:20'], 'tags.*' => ['required', 'string', 'max:60'], 'on' => ['required', 'boolean']], ['tags.required' => 'Name a tag.', 'assets.required' => 'Choose pieces first.']);
        $tags = array_map(fn (string $tag): string => mb_strtolower(trim($tag)), $asked['tags']);
        DB::transaction(function () use ($asked, $shop, $tags): void {
            foreach ($shop->assets()->whereIn('id', $asked['assets'])->get() as $asset) {
                $held = $asset->tags ?? [];
                $asset->update(['tags' => array_values(array_unique($asked['on'] ? [...$held, ...$tags] : array_diff($held, $tags)))]);
                ShelfWords::renew($asset);
            }
        });

        return response()->noContent();
    }

    /** Assigns one licence to several assets. */
    public function hold(Request $request, Shop $shop): Response
    {
        /** @var array{assets: list<int>, licence: int} $asked */
        $asked = $request->validate(['assets' => ['required', 'array', 'max:2000'], 'assets.*' => ['integer'], 'licence' => ['required', 'integer']], ['licence.required' => 'Choose a licence.', 'assets.required' => 'Choose pieces first.']);
        $licence = $shop->licences()->find($asked['licence']) ?? abort(422, 'That licence is not there any more. Choose another.');
        DB::transaction(function () use ($asked, $shop, $licence): void {
            foreach ($shop->assets()->whereIn('id', $asked['assets'])->get() as $asset) {
                $asset->update(['licence_id' => $licence->id, 'licence_name' => mb_substr($licence->name, 0, 120)]);
                ShelfWords::renew($asset);
            }
        });

        return response()->noContent();
    }

    public function bin(Asset $asset, ShelfBin $bin): AssetCard
    {
        $bin->lay($asset);

        return AssetCard::of($asset);
    }

    public function takeBack(Asset $asset, ShelfBin $bin): AssetCard
    {
        $bin->takeBack($asset);

        return AssetCard::of($asset);
    }

    public function replace(Request $request, Asset $asset, Shop $shop, Replacing $replacing): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:60000']], ['file.required' => 'Choose the better copy.', 'file.max' => 'The file is larger than 60 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $done = $replacing->by($shop, $asset, $file->getPathname(), $file->getClientOriginalName());

        return (new Replaced(AssetCard::of($done['asset']), array_map(fn (array $one): ReplacedIn => new ReplacedIn($one['job']->id, $one['job']->title, $one['before'], $one['after']), $done['jobs'])))->created();
    }

    /** The whole shelf with its licences and proofs as a zip. */
    public function download(Shop $shop, ShelfFile $shelf): BinaryFileResponse
    {
        return response()->download($shelf->write($shop), 'shelf.zip', ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    public function open(Request $request, Shop $shop, ShelfFile $shelf): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:200000']], ['file.required' => 'Choose the file of a shelf.', 'file.max' => 'The file is larger than 200 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $done = $shelf->open($shop, $file->getPathname());

        return (new ShelfOpened($done['taken'], $done['known'], $done['licences'], $done['proofs'], $done['problems']))->created();
    }
}
