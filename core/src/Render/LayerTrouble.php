<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** A layer that cannot be drawn as it stands: a font without its letters, a file that is gone. */
final class LayerTrouble extends \RuntimeException
{
    private function __construct(
        public readonly string $layer,
        string $message,
        \Throwable $reason,
    ) {
        parent::__construct($message, 0, $reason);
    }

    public static function of(\TallCrow\Artwork\Layer $layer, \Throwable $reason): self
    {
        return new self($layer->id, sprintf('%s: %s', $layer->called(), $reason->getMessage()), $reason);
    }
}
