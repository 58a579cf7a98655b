<?php

declare(strict_types=1);

namespace TallCrow\Pack;

/** A job file that cannot be opened. */
final class JobPackRefused extends \RuntimeException
{
    public static function noZip(): self
    {
        return new self('This is no job file: it is broken, or no zip. Download the job again.');
    }

    public static function noManifest(): self
    {
        return new self('This is no job file: it has no manifest.json that could be read. Download the job again.');
    }

    public static function manifest(string $reason): self
    {
        return new self(sprintf('This job file cannot be opened: its manifest %s.', $reason));
    }

    public static function entry(string $name, string $reason): self
    {
        return new self(sprintf('This job file cannot be opened: "%s" in it %s.', mb_strimwidth(mb_scrub($name), 0, 80, '…'), $reason));
    }

    public static function file(string $name, \Throwable $reason): self
    {
        return new self(sprintf('This job file cannot be opened, because of "%s" in it. %s', $name, $reason->getMessage()), previous: $reason);
    }

    public static function tooLarge(int $most): self
    {
        return new self(sprintf('This job file cannot be opened: unpacked it would hold more than %d MB.', intdiv($most, 1_000_000)));
    }

    public static function tooMany(int $most): self
    {
        return new self(sprintf('This job file cannot be opened: it holds more than %d files.', $most));
    }

    public static function lacks(string $name): self
    {
        return new self(sprintf('This job file cannot be opened: its sheet names "%s", which is not in it.', $name));
    }

    public static function unwritable(string $path): self
    {
        return new self(sprintf('"%s" could not be written. Is its folder there, may you write in it, and is there room?', $path));
    }
}
