<?php

declare(strict_types=1);

namespace TallCrow\Render;

final class RenderFailed extends \RuntimeException
{
    public static function tracer(string $reason): self
    {
        return new self(sprintf('The outline of a picture could not be traced (%s). Install Debian\'s potrace.', $reason === '' ? 'no reason given' : $reason));
    }
}
