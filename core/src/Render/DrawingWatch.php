<?php

declare(strict_types=1);

namespace TallCrow\Render;

/**
 * Remembers which drawings ended their process. Each process writes down what it is drawing; on the note of a process that was
 * stopped from outside that drawing still stands, and it is counted. One that was stopped twice is not begun again.
 */
final class DrawingWatch
{
    /** Times after which a drawing is set aside. */
    public const STRIKES = 2;

    /** Seconds after which one that was set aside may be tried once more. */
    private const FORGIVEN = 86_400;

    /** What a note says when nothing is being drawn: as long as the name of a drawing, so that either is written over the other. */
    private const IDLE = '----------------------------------------';

    /** @var array<string, true> notes of drawings that are at work in this request */
    private static array $atWork = [];

    /** @var array<string, resource> notes that are open: a drawing has many parts, and to open a file for each takes longer than some of them */
    private static array $open = [];

    private readonly string $note;

    /** @var list<string> the drawings within one another that are at work */
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
            // A worker serves one shop after another, whose folders each have a note.
            self::$open = [...array_intersect_key(self::$open, self::$atWork), $this->note => $note];
        }
        rewind($note);
        fwrite($note, $name);
    }

    /** Counts what processes that are gone were drawing. */
    private function collect(): void
    {
        foreach (glob($this->folder.'/busy-'.gethostname().'-*') ?: [] as $note) {
            [$pid, $since] = array_slice(explode('-', basename($note)), -2);
            // A request that ran out of memory ends, and its process serves the next one: its note is nobody's then.
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

    /** When a process began, in the kernel's ticks: a number is given again to another process, but not at the same time. */
    private static function since(int $process): string
    {
        $stat = is_dir("/proc/$process") ? @file_get_contents("/proc/$process/stat") : false;

        return $stat === false ? 'gone' : (explode(' ', substr($stat, (int) strrpos($stat, ')') + 2))[19] ?? 'gone');
    }
}
