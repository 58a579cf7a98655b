<?php

declare(strict_types=1);

namespace TallCrow\Render;

/** A drawing that is not tried again, since its process was killed during it before. */
final class DrawingSetAside extends \RuntimeException
{
    public static function after(int $times): self
    {
        return new self(sprintf('it took more time or memory than one drawing may, %d times, and is left out. Make it simpler: a picture with fewer pixels, a drawing with fewer points, fewer lines on it.', $times));
    }
}
