<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;

/** The topmost layer at each pixel of a window, by number; 0 is bare cloth. */
final readonly class Topmost
{
    /** Alpha above which a pixel is more ink than cloth. */
    public const HALF = 127.0;

    private const MOST = 255;

    private const AT_ONCE = 16;

    /**
     * @param  Image  $numbers  one 8-bit band
     * @param  list<string>  $ids  layer ids; the first one has number 1
     * @param  array<string, int>  $whole  visible pixels of each layer if nothing lay over it
     */
    private function __construct(
        private Image $numbers,
        public array $ids,
        public array $whole,
    ) {}

    /**
     * @param  list<Layer>  $layers  from the cloth up; if there are more than fit in a byte, the uppermost ones
     * @param  \Closure(Layer, Frame): ?Piece  $piece
     * @param  ?\Closure(Layer): float  $least  alpha above which a layer's ink counts as visible; default HALF
     */
    public static function of(array $layers, Frame $frame, \Closure $piece, ?\Closure $least = null): self
    {
        $numbers = Image::empty($frame->width, $frame->height, 1);
        $ids = $whole = [];
        foreach (array_slice($layers, -self::MOST) as $layer) {
            $own = $piece($layer, $frame);
            if ($own === null) {
                continue;
            }
            $ids[] = $layer->id;
            // Count each layer in its own box, then combine all of them in a few passes.
            $ink = $own->image->alpha()->isMore($least === null ? self::HALF : $least($layer))->settled();
            $laid = $ink->embed($own->frame->left - $frame->left, $own->frame->top - $frame->top, $frame->width, $frame->height);
            $within = $own->frame->overlap($frame);
            $whole[$layer->id] = $within === null ? 0 : (int) round(($within->width === $own->frame->width && $within->height === $own->frame->height ? $ink : $laid)->area());
            $numbers = $laid->chosen($laid->linearByte(count($ids) / 255), $numbers);
            $numbers = count($ids) % self::AT_ONCE === 0 ? $numbers->settled() : $numbers;
        }

        return new self($numbers->settled(), $ids, $whole);
    }

    /** A mask of where a layer is visible. */
    public function seen(string $id): Image
    {
        return $this->numbers->isEqual((float) ((int) array_search($id, $this->ids, true) + 1))->settled();
    }

    /**
     * Visible pixels of each layer within a mask.
     *
     * @param  ?Image  $within  default: the whole window
     * @return array<string, int> by id
     */
    public function counted(?Image $within = null): array
    {
        $counts = Histogram::of($within === null ? $this->numbers : $within->both($this->numbers)->settled());
        $found = [];
        foreach ($this->ids as $i => $id) {
            $found[$id] = $counts[$i + 1];
        }

        return $found;
    }

    /** Whether a layer covers any pixel that the picture shows. */
    public function shows(string $id, Image $picture): bool
    {
        return in_array($id, $this->ids, true) && $this->fits($picture);
    }

    public function fits(Image $mask): bool
    {
        return $mask->width() === $this->numbers->width() && $mask->height() === $this->numbers->height();
    }
}
