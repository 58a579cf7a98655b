<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Bench\Provenance;
use App\Bench\Shelving;
use App\Files\ShopFiles;
use App\Models\LicenceRecord;
use App\Models\Proof;
use App\Models\Shop;
use App\Rights\ProofRefused;
use App\Rights\ProofStore;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\File;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\PictureRefused;
use TallCrow\Rights\Facts;
use TallCrow\Rights\LicenceRefused;
use TallCrow\Rights\Spdx;
use TallCrow\Type\FontRefused;
use ZipArchive;

/**
 * A whole shelf in one zip: `shelf.json` (docs/shelf-file.md), the files under `assets/`, the proofs under `proofs/` by their hashes.
 * Treated as hostile when it comes in: only what the list names is read, by its number in the list, never by a path of the zip.
 */
final readonly class ShelfFile
{
    public const FORMAT = 'tallcrow.shelf/1';

    private const MOST_LIST = 20_000_000;

    private const MOST_FILE = 60_000_000;

    private const MOST_ALL = 2_000_000_000;

    private const MOST_PIECES = 20_000;

    private const MOST_WORDS = 40;

    public function __construct(
        private Shelving $shelving,
        private ProofStore $proofs,
    ) {}

    /** Writes the shelf to a file in the shop's temporary folder, and returns its path. */
    public function write(Shop $shop): string
    {
        $path = $shop->folder('scratch').'/shelf-'.bin2hex(random_bytes(6)).'.zip';
        $files = ShopFiles::of($shop);
        $files->shelf();
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $list = ['format' => self::FORMAT, 'licences' => [], 'assets' => []];
        foreach ($shop->licences()->with('proofs.shop')->orderBy('id')->get() as $licence) {
            $list['licences'][] = self::licence($licence);
            foreach ($licence->proofs as $proof) {
                is_file($proof->path()) && $zip->addFile($proof->path(), "proofs/$proof->sha256");
            }
        }
        $places = $shop->licences()->orderBy('id')->pluck('id')->flip();
        foreach ($shop->assets()->whereNull('binned_at')->with('collections')->orderBy('id')->get() as $asset) {
            $from = $files->assetPath($asset);
            if (is_file($from)) {
                $list['assets'][] = [
                    'file' => $asset->file, 'title' => $asset->title, 'genre' => $asset->genre, 'pack' => $asset->pack, 'cut' => $asset->cut, 'tags' => $asset->tags ?? [], 'favourite' => $asset->favourite,
                    'collections' => array_values($asset->collections->pluck('name')->sort()->all()),
                    'author' => $asset->licence_author, 'url' => $asset->licence_url, 'licence' => $asset->licence_id === null ? null : $places->get($asset->licence_id), 'sha256' => $asset->sha256,
                ];
                $zip->addFile($from, "assets/$asset->file");
                $zip->setCompressionName("assets/$asset->file", ZipArchive::CM_STORE);
            }
        }
        $zip->addFromString('shelf.json', json_encode($list, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n");
        $zip->close();

        return $path;
    }

    /**
     * Takes a shelf in. A piece whose very content is there serves again; one that cannot be used is told and left.
     *
     * @return array{taken: int, known: int, licences: int, proofs: int, problems: list<string>}
     *
     * @throws ShelfFileRefused
     */
    public function open(Shop $shop, string $path): array
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw ShelfFileRefused::noZip();
        }
        $folder = $shop->folder('unpacking').'/'.bin2hex(random_bytes(8));
        File::ensureDirectoryExists($folder, 0o700);
        try {
            $list = self::list($zip);
            $done = ['taken' => 0, 'known' => 0, 'licences' => 0, 'proofs' => 0, 'problems' => []];
            $records = [];
            foreach ($list['licences'] as $i => $one) {
                $records[$i] = $this->takeLicence($shop, $one, $zip, $folder, $done);
            }
            foreach ($list['assets'] as $one) {
                $this->takeAsset($shop, $one, $records, $zip, $folder, $done);
            }

            return $done;
        } finally {
            $zip->close();
            File::deleteDirectory($folder);
        }
    }

    /**
     * @return array{licences: list<array<mixed>>, assets: list<array<mixed>>}
     *
     * @throws ShelfFileRefused
     */
    private static function list(ZipArchive $zip): array
    {
        $entry = $zip->statName('shelf.json');
        $json = $entry === false || $entry['size'] > self::MOST_LIST ? false : $zip->getFromName('shelf.json', self::MOST_LIST);
        $list = is_string($json) ? json_decode($json, true, 12) : null;
        if (! is_array($list) || ($list['format'] ?? '') !== self::FORMAT) {
            throw ShelfFileRefused::noShelf();
        }
        $all = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $all += (int) ($zip->statIndex($i)['size'] ?? 0);
        }
        $rows = fn (string $key): array => array_values(array_filter(is_array($list[$key] ?? null) ? $list[$key] : [], is_array(...)));
        if ($all > self::MOST_ALL || count($rows('assets')) > self::MOST_PIECES || count($rows('licences')) > self::MOST_PIECES) {
            throw ShelfFileRefused::tooLarge();
        }

        return ['licences' => $rows('licences'), 'assets' => $rows('assets')];
    }

    /**
     * @param  array<mixed>  $one
     * @param  array{taken: int, known: int, licences: int, proofs: int, problems: list<string>}  $done
     */
    private function takeLicence(Shop $shop, array $one, ZipArchive $zip, string $folder, array &$done): ?LicenceRecord
    {
        $name = self::word($one, 'name', 160);
        try {
            $facts = Facts::read(is_array($one['facts'] ?? null) ? $one['facts'] : [])->toArray();
        } catch (LicenceRefused $refused) {
            $done['problems'][] = "Licence \"$name\": ".$refused->getMessage();

            return null;
        }
        $spdx = self::word($one, 'spdx', 60);
        $day = fn (string $key): ?string => preg_match('/^\d{4}-\d{2}-\d{2}$/', self::word($one, $key, 10)) === 1 ? self::word($one, $key, 10) : null;
        $known = ['name' => $name, 'licensor' => self::word($one, 'licensor', 200), 'order_number' => self::word($one, 'orderNumber', 120)];
        $licence = $shop->licences()->where($known)->first();
        if ($licence === null) {
            $licence = $shop->licences()->create($known + [
                'spdx' => Spdx::has($spdx) ? $spdx : '', 'source' => self::word($one, 'source', 500), 'seats' => is_int($one['seats'] ?? null) && $one['seats'] > 0 ? $one['seats'] : null,
                'bought_on' => $day('boughtOn'), 'begins_on' => $day('beginsOn'), 'ends_on' => $day('endsOn'), 'facts' => $facts,
            ]);
            $done['licences']++;
        }
        foreach (is_array($one['proofs'] ?? null) ? $one['proofs'] : [] as $proof) {
            $this->takeProof($shop, $licence, is_array($proof) ? $proof : [], $zip, $folder, $done);
        }

        return $licence;
    }

    /**
     * @param  array<mixed>  $one
     * @param  array{taken: int, known: int, licences: int, proofs: int, problems: list<string>}  $done
     */
    private function takeProof(Shop $shop, LicenceRecord $licence, array $one, ZipArchive $zip, string $folder, array &$done): void
    {
        $hash = self::word($one, 'sha256', 64);
        $name = self::word($one, 'name', 200);
        $path = self::copied($zip, "proofs/$hash", "$folder/proof", ProofStore::MOST_BYTES);
        try {
            match (true) {
                preg_match('/^[0-9a-f]{64}$/', $hash) !== 1 || $path === null => throw ShelfFileRefused::missing($name),
                hash_file('sha256', $path) !== $hash => throw ShelfFileRefused::changed($name),
                default => null,
            };
            $proof = $this->proofs->keep($shop, $licence, (string) $path, $name);
            $came = self::word($one, 'came', 40);
            if ($proof->wasRecentlyCreated) {
                $proof->update(['came_at' => strtotime($came) === false ? now() : Carbon::parse($came)]);
                $done['proofs']++;
            }
        } catch (ShelfFileRefused|ProofRefused $refused) {
            $done['problems'][] = $refused->getMessage();
        }
    }

    /**
     * @param  array<mixed>  $one
     * @param  array<int, ?LicenceRecord>  $records
     * @param  array{taken: int, known: int, licences: int, proofs: int, problems: list<string>}  $done
     */
    private function takeAsset(Shop $shop, array $one, array $records, ZipArchive $zip, string $folder, array &$done): void
    {
        $name = basename(str_replace('\\', '/', self::word($one, 'file', 200)));
        $path = $name === '' ? null : self::copied($zip, "assets/$name", "$folder/piece", self::MOST_FILE);
        $licence = is_int($one['licence'] ?? null) ? ($records[$one['licence']] ?? null) : null;
        try {
            $path ?? throw ShelfFileRefused::missing($name);
            if ($shop->assets()->where('sha256', hash_file('sha256', $path))->exists()) {
                $done['known']++;

                return;
            }
            $asset = $this->shelving->put($shop, $path, $name, new Provenance(
                $licence->name ?? 'not stated', self::word($one, 'author', 300), self::word($one, 'url', 500), self::word($one, 'genre', 60), self::word($one, 'title', 200), $licence?->id,
            ), array_filter(['pack' => self::word($one, 'pack', 120), 'cut' => self::word($one, 'cut', 20)]));
            foreach (self::words($one, 'collections', 80) as $collection) {
                $shop->collections()->firstOrCreate(['name' => $collection])->assets()->syncWithoutDetaching([$asset->id]);
            }
            $asset->update(['tags' => self::words($one, 'tags', 60), 'favourite' => ($one['favourite'] ?? false) === true]);
            ShelfWords::renew($asset);
            $done['taken']++;
        } catch (AssetUnusable|PictureRefused|FontRefused|ShelfFileRefused $refused) {
            $done['problems'][] = $name.': '.$refused->getMessage();
        }
    }

    /** Copies an entry of the zip to a path chosen by us, up to a size limit; null if it is missing or larger. */
    private static function copied(ZipArchive $zip, string $entry, string $to, int $most): ?string
    {
        $stat = $zip->statName($entry);
        $from = $stat === false || $stat['size'] > $most || $stat['encryption_method'] !== ZipArchive::EM_NONE ? false : $zip->getStream($entry);
        $file = $from === false ? false : fopen($to, 'wb');
        if ($from === false || $file === false) {
            return null;
        }
        $bytes = stream_copy_to_stream($from, $file, $most + 1);
        fclose($from);
        fclose($file);

        return $bytes === false || $bytes > $most ? null : $to;
    }

    /** @return array<string, mixed> */
    private static function licence(LicenceRecord $licence): array
    {
        return [
            'name' => $licence->name, 'spdx' => $licence->spdx, 'licensor' => $licence->licensor, 'source' => $licence->source, 'orderNumber' => $licence->order_number, 'seats' => $licence->seats,
            'boughtOn' => $licence->bought_on?->toDateString(), 'beginsOn' => $licence->begins_on?->toDateString(), 'endsOn' => $licence->ends_on?->toDateString(), 'facts' => $licence->facts,
            'proofs' => array_values($licence->proofs->map(fn (Proof $proof): array => ['name' => $proof->name, 'came' => $proof->came_at->toIso8601String(), 'sha256' => $proof->sha256])->all()),
        ];
    }

    /** @param  array<mixed>  $one */
    private static function word(array $one, string $key, int $most): string
    {
        return is_string($one[$key] ?? null) ? mb_substr(trim($one[$key]), 0, $most) : '';
    }

    /**
     * @param  array<mixed>  $one
     * @return list<string>
     */
    private static function words(array $one, string $key, int $most): array
    {
        return array_slice(array_values(array_filter(is_array($one[$key] ?? null) ? $one[$key] : [], fn (mixed $word): bool => is_string($word) && trim($word) !== '' && mb_strlen($word) <= $most)), 0, self::MOST_WORDS);
    }
}
