<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

enum Flip: string
{
    case None = 'none';
    case Across = 'across';
    case Down = 'down';
    case Both = 'both';

    public function x(): int
    {
        return $this === self::Across || $this === self::Both ? -1 : 1;
    }

    public function y(): int
    {
        return $this === self::Down || $this === self::Both ? -1 : 1;
    }

    /** Flipped once more from side to side. */
    public function across(): self
    {
        return self::of(-$this->x(), $this->y());
    }

    /** Flipped once more from top to bottom. */
    public function down(): self
    {
        return self::of($this->x(), -$this->y());
    }

    private static function of(int $x, int $y): self
    {
        return match ([$x, $y]) {
            [1, 1] => self::None,
            [-1, 1] => self::Across,
            [1, -1] => self::Down,
            default => self::Both,
        };
    }
}
