<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** Licence terms that cannot be saved as stated. */
final class LicenceRefused extends \DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function answer(FactName $name, string $value): self
    {
        return new self("facts.$name->value", sprintf('"%s" is no answer to "%s". Choose one of: %s.', mb_substr($value, 0, 40), $name->question(), implode(', ', array_keys($name->answers()))));
    }

    public static function withoutNumber(FactName $name): self
    {
        return new self("facts.$name->value", 'Say how many sales, a whole number from 1.');
    }

    public static function withoutPlaces(): self
    {
        return new self('facts.territory', 'Name the countries where it may be sold, parted by commas.');
    }

    public static function fact(string $name): self
    {
        return new self('facts', sprintf('"%s" is no fact of a licence. Known are: %s.', mb_substr($name, 0, 40), implode(', ', array_map(fn (FactName $one): string => $one->value, FactName::cases()))));
    }

    public static function spdx(string $id): self
    {
        return new self('spdx', sprintf('"%s" is not on the SPDX list. Leave it empty, or choose one of the list.', mb_substr($id, 0, 60)));
    }

    public static function dates(): self
    {
        return new self('until', 'It ends before it begins. Change one of the two days.');
    }
}
