<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** A licence under which a shop uses fonts and pictures: the terms of a pack, a family or a subscription. */
final readonly class Licence
{
    /**
     * @param  string  $spdx  SPDX identifier; empty if there is none
     * @param  ?int  $seats  number of people who may work with it; null if not stated
     * @param  int  $proofs  number of receipts and texts stored with it
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
        /** Null means that no fact is stated. */
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
