<?php

declare(strict_types=1);

namespace App\Drawing;

/** A print file that was not finished for reasons other than its content. */
final class PrintStopped extends \RuntimeException
{
    private function __construct(string $message, public readonly bool $cancelled = false)
    {
        parent::__construct($message);
    }

    public static function unwanted(): self
    {
        return new self('The seller cancelled this export.', true);
    }

    public static function tooLong(int $seconds, string $layer): self
    {
        return new self(sprintf('The export was stopped after %d s, while drawing %s. Make that piece simpler: fewer points, fewer lines of retouching, a smaller picture.', $seconds, $layer === '' ? 'the sheet' : "\"$layer\""));
    }

    public static function died(string $layer): self
    {
        return new self(sprintf('The export took more memory than one may have, or was ended from outside, while drawing %s. Make that piece simpler, or try again.', $layer === '' ? 'the sheet' : "\"$layer\""));
    }

    public static function noRoom(): self
    {
        return new self('The disk is full. Make room, then export again; what was saved is safe.');
    }
}
