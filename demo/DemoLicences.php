<?php

declare(strict_types=1);

namespace Demo;

use App\Models\Asset;
use App\Models\LicenceRecord;
use App\Models\PrintJob;
use App\Models\Shop;
use App\Rights\ProofStore;
use App\Rights\SalesBook;
use Illuminate\Support\Carbon;

/**
 * The licences of the demo shop: true open ones with the texts of their packages, and four invented ones, so that each verdict is
 * seen. demo/licences.json lists the invented; its days are told from today.
 *
 * @phpstan-type Listed array{licences: list<array{name: string, licensor: string, orderNumber: string, seats: ?int, bought: int, ends: ?int, files: list<string>, proof: string, facts: array<string, array<string, mixed>>}>, sales: list<array{title: string, units: int, on: int}>, watched: list<array{phrase: string, note: string, on: int}>, own: string}
 */
final readonly class DemoLicences
{
    public function __construct(
        private ProofStore $proofs,
        private SalesBook $sales,
    ) {}

    /** @param  array<string, string>  $texts  path of the licence text that came with a file, by file */
    public function record(Shop $shop, array $texts): void
    {
        /** @var Listed $list */
        $list = json_decode((string) file_get_contents(__DIR__.'/licences.json'), true, flags: JSON_THROW_ON_ERROR);
        foreach ($list['licences'] as $one) {
            $licence = $shop->licences()->create([
                'name' => $one['name'], 'licensor' => $one['licensor'], 'order_number' => $one['orderNumber'], 'seats' => $one['seats'], 'facts' => $one['facts'],
                'bought_on' => self::day($one['bought']), 'ends_on' => $one['ends'] === null ? null : self::day($one['ends']),
            ]);
            $this->proofs->keep($shop, $licence, __DIR__.'/proofs/'.$one['proof'], $one['proof']);
            $shop->assets()->whereIn('file', $one['files'])->get()->each(fn (Asset $asset) => $asset->update(['licence_id' => $licence->id, 'licence_name' => $licence->name, 'licence_author' => $licence->licensor]));
        }
        foreach ($shop->assets()->with('licence')->get() as $asset) {
            if ($asset->licence instanceof LicenceRecord && ! in_array($asset->file, array_merge(...array_column($list['licences'], 'files')), true)) {
                $text = $texts[$asset->file] ?? __DIR__.'/proofs/'.$list['own'];
                $this->proofs->keep($shop, $asset->licence, $text, self::named($text));
            }
        }
        // What nothing is held under any more goes.
        $shop->licences()->doesntHave('assets')->delete();
        foreach ($list['sales'] as $one) {
            $job = $shop->jobs()->where('title', $one['title'])->first();
            $job instanceof PrintJob && $this->sales->enter($job, $one['units'], self::day($one['on']));
        }
        foreach ($list['watched'] as $one) {
            $shop->watched()->create(['phrase' => $one['phrase'], 'note' => $one['note'], 'warned_on' => self::day($one['on'])]);
        }
    }

    private static function day(int $from): Carbon
    {
        return Carbon::today()->addDays($from);
    }

    /** Package and file, with an ending that says text. */
    private static function named(string $path): string
    {
        $name = basename(dirname($path)).'-'.basename($path);

        return str_contains(basename($path), '.') ? $name : "$name.txt";
    }
}
