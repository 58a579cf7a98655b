<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

final class TracerFailed extends \RuntimeException
{
    public static function because(string $reason): self
    {
        return new self(sprintf('The outline of a picture could not be traced (%s). Install Debian\'s potrace.', $reason === '' ? 'no reason given' : $reason));
    }
}
