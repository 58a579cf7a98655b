<?php

declare(strict_types=1);

namespace App\Rights;

use App\Bench\AssetPreview;
use App\Bench\Paper;
use App\Bench\Proof as SheetProof;
use App\Files\Csv;
use App\Models\Asset;
use App\Models\Proof;
use App\Models\Revision;
use App\Models\Shop;
use Illuminate\Http\Response;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Rights\Fact;
use TallCrow\Rights\Judgement;
use TallCrow\Rights\Reason;

/**
 * Documents about rights: the licence sheet of a design or of the whole shop, and the evidence pack of a design.
 *
 * @phpstan-type Row array{title: string, file: string, author: string, url: string, licence: string, held: string, terms: list<string>, proofs: list<string>, sold: int, ruling: string, says: string, why: string, picture: string}
 */
final readonly class RightsPaper
{
    private const PPI = 100.0;

    /**
     * @param  list<array{Asset|null, ?Judgement}>  $pieces
     * @param  list<int>  $sold  of each piece, in all designs
     */
    private function __construct(
        private Shop $shop,
        private string $title,
        private array $pieces,
        private array $sold,
        private string $credits = '',
        private ?Revision $revision = null,
    ) {}

    public static function ofDesign(Revision $revision, SalesBook $sales): self
    {
        $job = $revision->job->load('shop');
        $rights = JobRights::of($job, $revision->read(), $sales);
        $pieces = array_map(fn (array $one): array => [$one['asset'], $one['judgement']], $rights->pieces);

        return new self($job->shop, $revision->read()->title, $pieces, array_map(fn (array $one): int => $sales->counts($job, $one[1]->file->name, $one[0]?->licence_id)->ofAsset, $pieces), $rights->credits(), $revision);
    }

    public static function ofShop(Shop $shop, SalesBook $sales): self
    {
        $assets = $shop->assets()->with('licence.proofs')->orderBy('kind')->orderBy('title')->get()->all();

        return new self($shop, 'All fonts and art', array_map(fn (Asset $asset): array => [$asset, null], array_values($assets)), array_map(fn (Asset $asset): int => $sales->ofAsset($shop, $asset->file), array_values($assets)));
    }

    public function response(string $kind): Response
    {
        return match ($kind) {
            'csv' => new Response($this->csv(), 200, ['Content-Type' => 'text/csv; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="licences.csv"']),
            'pdf' => new Response($this->pdf(), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'attachment; filename="licences.pdf"']),
            default => new Response($this->html(), 200, ['Content-Type' => 'text/html; charset=UTF-8']),
        };
    }

    public function html(bool $onPaper = false): string
    {
        return view('licences', ['title' => $this->title, 'shop' => $this->shop->name, 'day' => now()->toDateString(), 'rows' => $this->rows(true), 'credits' => $this->credits, 'onPaper' => $onPaper])->render();
    }

    public function pdf(): string
    {
        return Paper::pdf($this->html(onPaper: true), 'landscape');
    }

    /** CSV (RFC 4180). */
    public function csv(): string
    {
        $stream = fopen('php://temp', 'w+b') ?: throw new \RuntimeException('No memory for a table.');
        Csv::row($stream, ['title', 'file', 'author', 'address', 'licence', 'held', 'terms', 'proof', 'sold', 'ruling', 'why']);
        foreach ($this->rows(false) as $row) {
            Csv::row($stream, [$row['title'], $row['file'], $row['author'], $row['url'], $row['licence'], $row['held'], implode('; ', $row['terms']), implode('; ', $row['proofs']), $row['sold'], $row['ruling'], $row['why']]);
        }

        return (string) stream_get_contents($stream, offset: 0);
    }

    /** Writes the evidence pack to a file in the shop's temporary folder, and returns its path. */
    public function evidence(): string
    {
        $path = $this->shop->folder('scratch').'/evidence-'.bin2hex(random_bytes(6)).'.zip';
        $zip = new \ZipArchive;
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $parts = ['licences.pdf' => $this->pdf(), 'licences.csv' => $this->csv(), 'credits.txt' => $this->credits === '' ? "No credit is due by the terms as stated.\n" : $this->credits."\n"];
        if ($this->revision !== null) {
            $parts['design.png'] = SheetProof::of($this->revision, self::PPI, near: false)->sheet(null);
        }
        $told = [];
        foreach ($this->proofs() as $name => $proof) {
            $parts[$name] = (string) file_get_contents($proof->path());
            $told[] = ['file' => $name, 'licence' => $proof->licence->name ?? '', 'came' => $proof->came_at->toIso8601String(), 'sha256' => $proof->sha256, 'whole' => hash('sha256', $parts[$name]) === $proof->sha256];
        }
        $parts['manifest.json'] = json_encode([
            'format' => 'tallcrow.evidence/1', 'shop' => $this->shop->name, 'design' => $this->title, 'made' => now()->toIso8601String(),
            'revision' => $this->revision?->id, 'saved' => $this->revision?->created_at->toIso8601String(), 'proofs' => $told,
            'sha256' => array_map(fn (string $bytes): string => hash('sha256', $bytes), $parts),
        ], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n";
        foreach ($parts as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();

        return $path;
    }

    /** @return array<string, Proof> by the name that each has in the pack */
    private function proofs(): array
    {
        $named = [];
        foreach ($this->pieces as [$asset]) {
            foreach ($asset?->licence->proofs ?? [] as $proof) {
                if (is_file($proof->path())) {
                    $named['proofs/'.substr($proof->sha256, 0, 8).'-'.preg_replace('/[^A-Za-z0-9._-]+/', '-', $proof->name)] = $proof->setRelation('shop', $this->shop)->loadMissing('licence');
                }
            }
        }

        return $named;
    }

    /** @return list<Row> */
    private function rows(bool $pictures): array
    {
        return array_map(fn (array $piece, int $sold): array => $this->row($piece[0], $piece[1], $sold, $pictures), $this->pieces, $this->sold);
    }

    /** @return Row */
    private function row(?Asset $asset, ?Judgement $judgement, int $sold, bool $pictures): array
    {
        $licence = $asset?->licence;
        $facts = $licence === null ? [] : array_filter($licence->terms()->stated?->all() ?? [], fn (Fact $fact): bool => ! $fact->isUnknown());

        return [
            'title' => $asset->title ?? $judgement->file->name ?? '', 'file' => $asset->file ?? $judgement->file->name ?? '', 'author' => $asset->licence_author ?? '', 'url' => $asset->licence_url ?? '',
            'licence' => $licence === null ? '' : $licence->name.($licence->spdx === '' ? '' : " ($licence->spdx)"),
            'held' => $licence === null ? '' : implode(', ', array_filter([$licence->licensor, $licence->order_number === '' ? '' : "order $licence->order_number", $licence->bought_on === null ? '' : 'bought '.$licence->bought_on->toDateString(), $licence->ends_on === null ? '' : 'ends '.$licence->ends_on->toDateString()])),
            'terms' => array_values(array_map(fn (Fact $fact): string => $fact->name->question().' '.$fact->says().($fact->clause === '' ? '' : " ($fact->clause)"), $facts)),
            'proofs' => $licence === null ? [] : array_values($licence->proofs->map(fn (Proof $proof): string => "$proof->name, ".$proof->came_at->toDateString().', '.substr($proof->sha256, 0, 12))->all()),
            'sold' => $sold, 'ruling' => $judgement->ruling->value ?? '', 'says' => $judgement?->ruling->says() ?? '',
            'why' => implode(' ', array_map(fn (Reason $reason): string => $reason->says, $judgement->reasons ?? [])),
            'picture' => $pictures && $asset !== null ? self::picture($asset) : '',
        ];
    }

    private static function picture(Asset $asset): string
    {
        try {
            return 'data:image/jpeg;base64,'.base64_encode((new AssetPreview)->jpeg($asset));
        } catch (AssetUnusable) {
            return '';
        }
    }
}
