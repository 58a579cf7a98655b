<?php

declare(strict_types=1);

namespace App\Rights;

use App\Bench\Provenance;
use App\Models\LicenceRecord;
use App\Models\Shop;
use TallCrow\Rights\KnownLicences;

/** Finds and creates licence records by stated names. */
final readonly class LicenceBook
{
    public function __construct(private ProofStore $proofs) {}

    /** Names that mean that there is no licence. */
    private const NONE = ['', 'not stated', 'unknown', 'none'];

    /**
     * The record for a stated name, created if missing; the terms of known open licences are filled in.
     * The same open licence by different authors has separate records, since notices and proofs differ.
     */
    public function named(Shop $shop, string $name, string $licensor): ?LicenceRecord
    {
        $name = mb_substr(trim($name), 0, 160);
        if (in_array(mb_strtolower($name), self::NONE, true)) {
            return null;
        }
        $spdx = KnownLicences::like($name) ?? '';
        $licensor = mb_substr(trim($licensor), 0, 200);
        $held = $shop->licences()->where('licensor', $licensor)->where(fn ($query) => $query->where('name', $name)->when($spdx !== '', fn ($or) => $or->orWhere('spdx', $spdx)))->first();

        return $held ?? $shop->licences()->create([
            'name' => $spdx === '' ? $name : KnownLicences::called($spdx), 'spdx' => $spdx, 'licensor' => $licensor,
            'facts' => ($spdx === '' ? null : KnownLicences::facts($spdx))?->toArray() ?? [],
        ]);
    }

    /**
     * What holds for a pack: the licence that is stated, or the one whose text lies in it. The texts are kept with it.
     *
     * @param  list<array{path: string, name: string}>  $texts
     *
     * @throws LicenceWanted|ProofRefused
     */
    public function proven(Shop $shop, Provenance $from, array $texts): Provenance
    {
        $licence = $from->record !== null ? $shop->licences()->find($from->record) : $this->named($shop, $from->licence, $from->author);
        foreach ($licence === null ? $texts : [] as $text) {
            $spdx = KnownLicences::recognised((string) file_get_contents($text['path']));
            if ($spdx !== null) {
                $licence = $this->named($shop, $spdx, $from->author);
                break;
            }
        }
        if ($licence === null) {
            throw LicenceWanted::forAPack(array_column($texts, 'name'));
        }
        foreach ($texts as $text) {
            filesize($text['path']) > 0 && $this->proofs->keep($shop, $licence, $text['path'], $text['name']);
        }

        return $from->under($licence);
    }
}
