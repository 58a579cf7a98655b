<?php

declare(strict_types=1);

namespace TallCrow\Cli;

use TallCrow\Artwork\ArtworkInvalid;

final class UnusableCall extends \InvalidArgumentException
{
    /** @param  list<string>  $known */
    public static function command(string $word, array $known): self
    {
        return new self(sprintf('"%s" is no command. Known are %s; --help tells more.', $word, implode(', ', $known)));
    }

    public static function missing(string $what): self
    {
        return new self(sprintf('Missing: %s. --help tells more.', $what));
    }

    public static function option(string $word): self
    {
        return new self(sprintf('The option %s is not known. --help tells more.', $word));
    }

    public static function tooMany(string $word): self
    {
        return new self(sprintf('"%s" is one word too many. --help tells more.', $word));
    }

    public static function file(string $file): self
    {
        return new self(sprintf('"%s" is no file that can be read.', $file));
    }

    public static function folder(string $folder): self
    {
        return new self(sprintf('"%s" is no folder.', $folder));
    }

    public static function notEmpty(string $folder): self
    {
        return new self(sprintf('The folder "%s" is not empty. Choose another, so that nothing in it is written over.', $folder));
    }

    public static function unwritable(string $file): self
    {
        return new self(sprintf('"%s" could not be written. Is its folder there, may you write in it, and is there room?', $file));
    }

    public static function region(string $text, int $width, int $height): self
    {
        return new self(sprintf('The region "%s" is not X,Y,W,H within %d × %d pixels.', $text, $width, $height));
    }

    public static function area(string $text): self
    {
        return new self(sprintf('The area "%s" is not WIDTH,HEIGHT,PPI,NAME, as in 4500,5400,300,Tee front.', $text));
    }

    public static function rule(string $word): self
    {
        return new self(sprintf('"%s" is no rule. Known are strict-300 and accept-200.', $word));
    }

    public static function artwork(string $file, ArtworkInvalid $invalid): self
    {
        return new self(sprintf('%s: %s', basename($file), $invalid->getMessage()), 0, $invalid);
    }
}
