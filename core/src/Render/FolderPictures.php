<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;

/**
 * A cache of pictures as files in one folder, shared by all processes. Files are written under another name and then renamed, and memory-mapped when read.
 * When the folder exceeds its bound, the least recently used files are deleted. While one process draws a picture, others wait for it instead of drawing
 * it as well.
 */
final readonly class FolderPictures implements Pictures
{
    private const NOTHING = 'nothing';

    /** Seconds after which the time of last use of a file is written again. */
    private const WHILE = 300;

    /**
     * @param  int  $mostBytes  bound of the folder's size
     * @param  ?string  $code  fingerprint of the code that draws; DrawingCode's unless given
     * @param  ?Pictures  $materials  cache for materials, if that is not this one
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

    /** The path for a key, without extension. The fingerprint of the drawing code is part of it. */
    private function file(string $kind, string $key): string
    {
        return "$this->folder/$kind".sha1(($this->code ?? DrawingCode::fingerprint($this->folder)).$key);
    }

    public function piece(string $key, Frame $frame, callable $make): ?Piece
    {
        $base = $this->file('p', $key.$frame->key());

        return is_file($base.'.at') ? $this->keptPiece($base, $frame, $make) : self::alone($base, fn (): ?Piece => $this->keptPiece($base, $frame, $make));
    }

    /** Whether a piece is in the cache, or the fact that the layer has none there. */
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

    /** Sets the file's modification time, by which the least recently used are found; only now and then, since it costs a write. */
    private function used(string $file): void
    {
        if (is_file($file) && (int) @filemtime($file) < time() - self::WHILE) {
            @touch($file);
        }
    }

    /** Deletes the least recently used files until the rest is within the bound. */
    public function tidy(): void
    {
        // PHP caches the status of files.
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
     * Runs work under a lock of its key, so that no other process does the same work meanwhile. Work may need other work, but never itself, so there is no
     * deadlock.
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
