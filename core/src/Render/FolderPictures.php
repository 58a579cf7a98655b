<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/**
 * Keeps pictures as files in one folder, shared by all processes. Files are written aside and renamed, mapped when
 * read, and the oldest go when the folder outgrows its bound. What one process is drawing, others wait for instead of
 * drawing it, too.
 */
final readonly class FolderPictures implements Pictures
{
    private const NOTHING = 'nothing';

    /** Seconds between notes that a kept file was used. */
    private const WHILE = 300;

    /**
     * @param  int  $mostBytes  that the folder may hold
     * @param  ?string  $code  fingerprint of the code that draws; DrawingCode's unless given
     * @param  ?Pictures  $materials  where materials are kept, if not in this folder
     */
    public function __construct(
        public string $folder,
        private int $mostBytes = 1_500_000_000,
        private ?string $code = null,
        private ?Pictures $materials = null,
    ) {
        if (! is_dir($this->folder)) {
            @mkdir($this->folder, 0o700, true);
        }
    }

    /** The file of a key without its ending: what is kept is that of the code that draws. */
    private function file(string $kind, string $key): string
    {
        return "$this->folder/$kind".sha1(($this->code ?? DrawingCode::fingerprint($this->folder)).$key);
    }

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        $base = $this->file('p', $key.$frame->key());

        return is_file($base.'.at') ? $this->keptPiece($base, $frame, $make) : self::alone($base, fn (): ?Piece => $this->keptPiece($base, $frame, $make));
    }

    /** Whether a piece is kept, or that there is none. */
    public function has(string $key, Frame $frame): bool
    {
        return is_file($this->file('p', $key.$frame->key()).'.at');
    }

    /** @param  callable(): ?Piece  $make */
    private function keptPiece(string $base, Frame $frame, callable $make): ?Piece
    {
        $place = self::kept($base.'.at');
        if ($place !== null) {
            $this->used($base.'.at');
            $this->used($base.'.v');
            if ($place === self::NOTHING) {
                return null;
            }
            [$left, $top, $width, $height] = array_map(intval(...), explode(',', $place));
            if (is_file($base.'.v')) {
                return new Piece(ImageFile::mapped($base.'.v'), new Frame($frame->ppi, $left, $top, $width, $height));
            }
        }
        $piece = $make();
        if ($piece !== null) {
            $this->write($base.'.v', $piece->image);
            $piece = $piece->with(ImageFile::mapped($base.'.v'));
        }
        $at = $piece?->frame;
        self::put($base.'.at', $at === null ? self::NOTHING : "$at->left,$at->top,$at->width,$at->height");

        return $piece;
    }

    public function image(string $key, callable $make): Image
    {
        $file = $this->file('i', $key).'.v';
        if (! is_file($file)) {
            self::alone($file, function () use ($file, $make): void {
                if (! is_file($file)) {
                    $this->write($file, $make());
                }
            });
        }

        $this->used($file);

        return ImageFile::mapped($file);
    }

    public function material(string $key, callable $make): Image
    {
        return $this->materials === null ? $this->image($key, $make) : $this->materials->material($key, $make);
    }

    public function text(string $key, callable $make): string
    {
        $file = $this->file('t', $key);
        $known = self::kept($file);
        if ($known !== null) {
            $this->used($file);

            return $known;
        }
        $text = $make();
        self::put($file, $text);

        return $text;
    }

    /** What is used stays longest: its time is set anew, once in a while, since that costs a write. */
    private function used(string $file): void
    {
        if (is_file($file) && (int) @filemtime($file) < time() - self::WHILE) {
            @touch($file);
        }
    }

    /** Lets go what was used longest ago until the rest fits. */
    public function tidy(): void
    {
        // PHP remembers what it saw of the last file.
        clearstatcache();
        $files = [];
        foreach (glob($this->folder.'/*') ?: [] as $file) {
            $files[$file] = [(int) @filemtime($file), (int) @filesize($file)];
        }
        $total = array_sum(array_column($files, 1));
        uasort($files, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        foreach ($files as $file => [, $bytes]) {
            if ($total <= $this->mostBytes) {
                break;
            }
            @unlink($file);
            $total -= $bytes;
        }
    }

    /**
     * Does work that no other process does at the time. Works may need others: none needs itself, so none waits forever.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    private static function alone(string $file, callable $work): mixed
    {
        $lock = fopen($file.'.lock', 'c');
        if ($lock === false) {
            return $work();
        }
        flock($lock, LOCK_EX);
        try {
            return $work();
        } finally {
            @unlink($file.'.lock');
            fclose($lock);
        }
    }

    private function write(string $file, Image $image): void
    {
        $aside = sprintf('%s.%d.v', $file, getmypid());
        ImageFile::writeMapped($image, $aside);
        rename($aside, $file);
        if (random_int(1, 200) === 1) {
            $this->tidy();
        }
    }

    /** Another process may tidy at any moment, so a file that was there may be gone when it is read. */
    private static function kept(string $file): ?string
    {
        $text = is_file($file) ? @file_get_contents($file) : false;

        return $text === false ? null : $text;
    }

    private static function put(string $file, string $content): void
    {
        $aside = $file.'.'.getmypid();
        file_put_contents($aside, $content);
        rename($aside, $file);
    }
}
