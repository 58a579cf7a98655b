<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** What a shop holds fonts and pictures under: a pack's, a family's or a subscription's terms. */
final readonly class Licence
{
    /**
     * @param  string  $spdx  identifier of the SPDX list; empty where there is none
     * @param  ?int  $seats  people who may work with it; null where it does not say
     * @param  int  $proofs  receipts and texts that are kept with it
     *
     * @throws LicenceRefused
     */
    public function __construct(
        public string $name,
        public string $spdx = '',
        public string $licensor = '',
        public string $source = '',
        public ?int $seats = null,
        public ?\DateTimeImmutable $from = null,
        public ?\DateTimeImmutable $until = null,
        /** Null is the same as none stated. */
        public ?Facts $stated = null,
        public int $proofs = 0,
    ) {
        if ($from !== null && $until !== null && $until < $from) {
            throw LicenceRefused::dates();
        }
        if ($spdx !== '' && ! Spdx::has($spdx)) {
            throw LicenceRefused::spdx($spdx);
        }
    }

    public function fact(FactName $name): Fact
    {
        return ($this->stated ?? Facts::none())->fact($name);
    }
}
