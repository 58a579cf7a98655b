<?php

declare(strict_types=1);

namespace TallCrow\Compose;

final class ArrangeRefused extends \DomainException
{
    public static function few(int $needed): self
    {
        return new self(sprintf('Choose %s lines that leave ink.', $needed === 1 ? 'one or more' : "$needed or more"));
    }

    public static function target(): self
    {
        return new self('The line to align to leaves no ink, or is gone. Choose another.');
    }

    public static function apart(): self
    {
        return new self('Only lines that stand in the same group, or in none, can be kept together.');
    }
}
