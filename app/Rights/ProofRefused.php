<?php

declare(strict_types=1);

namespace App\Rights;

/** A file that cannot be stored as a proof. */
final class ProofRefused extends \DomainException
{
    public static function type(string $name): self
    {
        return new self(sprintf('"%s" cannot be kept as a proof. Send it as %s.', $name, implode(', ', array_map(strtoupper(...), array_diff(array_keys(ProofStore::TYPES), ['jpeg', 'htm', 'md'])))));
    }

    public static function blank(string $name): self
    {
        return new self(sprintf('"%s" is empty. Choose the file again.', $name));
    }

    public static function tooLarge(string $name, int $most): self
    {
        return new self(sprintf('"%s" is larger than %d MB. Scan it smaller, or in parts.', $name, intdiv($most, 1_000_000)));
    }

    public static function notWhatItSays(string $name, string $type): self
    {
        return new self(sprintf('"%s" is no %s inside. Choose the file as it came.', $name, strtoupper($type)));
    }
}
