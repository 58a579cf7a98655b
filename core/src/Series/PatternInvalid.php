<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** A pattern, or a value for one of its slots, that cannot be used. */
final class PatternInvalid extends \DomainException
{
    public static function pointer(string $text): self
    {
        return new self(sprintf('"%s" is no place in a sheet: a place is a line and a key within it, such as name/source/text.', $text));
    }

    public static function gone(string $text): self
    {
        return new self(sprintf('The sheet has no "%s" any more. Choose another place for this slot.', $text));
    }

    public static function value(string $slot, string $value, string $wanted): self
    {
        return new self(sprintf('"%s" is no %s for the slot %s.', mb_strimwidth($value, 0, 40, '…'), $wanted, $slot));
    }

    public static function slot(string $why): self
    {
        return new self($why);
    }
}
