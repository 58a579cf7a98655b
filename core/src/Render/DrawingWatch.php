<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * Detects drawings that get their process killed. Each process writes the key of its current drawing to a note file; if the process is gone and the key still
 * stands there, that counts as a strike against the drawing. After two strikes it is not tried again.
 */
final class DrawingWatch
{
    /** Strikes after which a drawing is set aside. */
    public const STRIKES = 2;

    /** Seconds after which a drawing that was set aside may be tried once more. */
    private const FORGIVEN = 86_400;

    /** Content of a note while nothing is drawn. It has the length of a drawing's key, so that one overwrites the other in place. */
    private const IDLE = '----------------------------------------';

    /** @var array<string, true> note files in use by drawings of this request */
    private static array $atWork = [];

    /** @var array<string, resource> open note files; opening one for each of a drawing's many parts would take longer than some parts */
    private static array $open = [];

    private readonly string $note;

    /** @var list<string> keys of the nested drawings in progress */
    private array $stack = [];

    public function __construct(private readonly string $folder)
    {
        is_dir($folder) || @mkdir($folder, 0o700, true);
        $this->note = sprintf('%s/busy-%s-%d-%s', $folder, gethostname(), getmypid(), self::since((int) getmypid()));
        $this->collect();
        if (! is_file($this->note)) {
            unset(self::$open[$this->note]);
        }
    }

    /**
     * @template T
     *
     * @param  callable(): T  $draw
     * @return T
     *
     * @throws DrawingSetAside
     */
    public function during(string $key, callable $draw): mixed
    {
        $name = sha1($key);
        if ($this->strikes($name) >= self::STRIKES) {
            throw DrawingSetAside::after(self::STRIKES);
        }
        $this->stack[] = $name;
        self::$atWork[$this->note] = true;
        $this->write($name);
        try {
            return $draw();
        } finally {
            array_pop($this->stack);
            if ($this->stack === []) {
                unset(self::$atWork[$this->note]);
            }
            $this->write($this->stack === [] ? self::IDLE : end($this->stack));
        }
    }

    private function write(string $name): void
    {
        $note = self::$open[$this->note] ?? @fopen($this->note, 'c');
        if ($note === false) {
            return;
        }
        if (! isset(self::$open[$this->note])) {
            stream_set_write_buffer($note, 0);
            // A worker serves several shops in turn, and each shop's folder has a note of its own.
            self::$open = [...array_intersect_key(self::$open, self::$atWork), $this->note => $note];
        }
        rewind($note);
        fwrite($note, $name);
    }

    /** Counts a strike for each drawing whose process is gone. */
    private function collect(): void
    {
        foreach (glob($this->folder.'/busy-'.gethostname().'-*') ?: [] as $note) {
            [$pid, $since] = array_slice(explode('-', basename($note)), -2);
            // After a request runs out of memory its process serves the next request, and the note is left over.
            $mine = $note === $this->note && ! isset(self::$atWork[$note]);
            $lives = self::since((int) $pid) === $since;
            if ($lives && ! $mine) {
                continue;
            }
            $name = (string) @file_get_contents($note);
            if ($lives && $name === self::IDLE) {
                continue;
            }
            if (@unlink($note) && preg_match('/^[0-9a-f]{40}$/', $name) === 1) {
                @file_put_contents("$this->folder/stopped-$name", '.', FILE_APPEND);
            }
        }
    }

    private function strikes(string $name): int
    {
        $file = "$this->folder/stopped-$name";
        clearstatcache(false, $file);
        if (! is_file($file)) {
            return 0;
        }
        if ((int) @filemtime($file) < time() - self::FORGIVEN) {
            @unlink($file);

            return 0;
        }

        return (int) @filesize($file);
    }

    /** Start time of a process in kernel ticks. Process ids are reused, but not with the same start time. */
    private static function since(int $process): string
    {
        $stat = is_dir("/proc/$process") ? @file_get_contents("/proc/$process/stat") : false;

        return $stat === false ? 'gone' : (explode(' ', substr($stat, (int) strrpos($stat, ')') + 2))[19] ?? 'gone');
    }
}
