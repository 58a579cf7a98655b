<?php

declare(strict_types=1);

namespace TallCrow\Gang;

/** Pieces that cannot be placed on the film. */
final class GangRefused extends \DomainException
{
    public static function piece(string $name): self
    {
        return new self(sprintf('%s needs a size, and a number from 1.', $name === '' ? 'A piece' : $name));
    }

    public static function noInk(string $title): self
    {
        return new self(sprintf('"%s" has no ink to lay on film. Look at its sheet.', $title));
    }

    public static function sheet(): self
    {
        return new self('The margins leave nothing of the film. Choose a larger one, or smaller margins.');
    }

    public static function tooLarge(string $name, float $width, float $height): self
    {
        return new self(sprintf('%s is %.2f × %.2f in and fits on no sheet of this film, turned or not. Print it smaller, or choose a larger film.', $name, $width, $height));
    }

    public static function tooMany(int $most): self
    {
        return new self(sprintf('More than %d pieces: lay them in parts.', $most));
    }
}
