<?php

declare(strict_types=1);

namespace TallCrow\Export;

final class PngBroken extends \RuntimeException
{
    public static function unreadable(string $path): self
    {
        return new self(sprintf('"%s" cannot be opened.', basename($path)));
    }

    public static function notPng(string $path): self
    {
        return new self(sprintf('"%s" is not a PNG file.', basename($path)));
    }

    public static function short(string $path): self
    {
        return new self(sprintf('"%s" is cut short or broken.', basename($path)));
    }

    public static function unwritable(string $path): self
    {
        return new self(sprintf('"%s" cannot be written. Is the disk full?', basename($path)));
    }
}
