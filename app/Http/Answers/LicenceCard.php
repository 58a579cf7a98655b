<?php

declare(strict_types=1);

namespace App\Http\Answers;

use App\Models\LicenceRecord;
use App\Models\Proof;
use TallCrow\Rights\Facts;

/** A licence of the shop with its terms and proofs. */
final readonly class LicenceCard extends Answer
{
    /**
     * @param  list<FactCard>  $facts  every fact, the unknown too
     * @param  list<ProofCard>  $proofs
     * @param  list<string>  $designs
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $spdx,
        public string $licensor,
        public string $source,
        public string $orderNumber,
        public ?int $seats,
        public ?string $boughtOn,
        public ?string $beginsOn,
        public ?string $endsOn,
        public array $facts,
        public array $proofs,
        /** Number of assets under this licence. */
        public int $assets,
        /** Designs that print assets under this licence; listed if it ends. */
        public array $designs,
        /** Number of unknown facts. */
        public int $open,
    ) {}

    public static function of(LicenceRecord $licence): self
    {
        $licence->loadMissing('proofs');
        $facts = array_map(FactCard::of(...), Facts::read($licence->facts)->all());
        $assets = $licence->getAttributes()['assets_count'] ?? $licence->assets()->count();

        return new self(
            $licence->id, $licence->name, $licence->spdx, $licence->licensor, $licence->source, $licence->order_number, $licence->seats,
            $licence->bought_on?->toDateString(), $licence->begins_on?->toDateString(), $licence->ends_on?->toDateString(), $facts,
            array_values($licence->proofs->sortBy('id')->map(fn (Proof $proof): ProofCard => ProofCard::of($proof))->all()), is_numeric($assets) ? (int) $assets : 0,
            $licence->ends_on === null ? [] : $licence->designs(),
            count(array_filter($facts, fn (FactCard $fact): bool => $fact->value === 'unknown')),
        );
    }
}
