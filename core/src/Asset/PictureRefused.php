<?php

declare(strict_types=1);

namespace TallCrow\Asset;

final class PictureRefused extends \RuntimeException
{
    public static function type(): self
    {
        return new self('This is not a PNG, JPEG, WebP or SVG picture, whatever its name says. Save it as one of these.');
    }

    public static function bytes(int $bytes, int $most): self
    {
        return new self(sprintf('This picture is %.1f MB; %d MB is the most.', $bytes / 1e6, intdiv($most, 1_000_000)));
    }

    public static function pixels(int $width, int $height, int $most): self
    {
        return new self(sprintf('This picture says it is %d × %d pixels; %d on a side and 100 million in all is the most. Make it smaller.', $width, $height, $most));
    }

    public static function broken(string $reason): self
    {
        return new self('This picture is broken and cannot be read to its end: '.$reason);
    }

    public static function drawing(string $reason): self
    {
        return new self('This SVG drawing cannot be used: '.$reason);
    }

    public static function animated(int $pictures): self
    {
        return new self(sprintf('This file moves: it holds %d pictures. Save the one that is to be printed, and choose that.', $pictures));
    }
}
