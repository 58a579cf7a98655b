<?php

declare(strict_types=1);

namespace TallCrow\Preflight;

use TallCrow\Artwork\Layer;
use TallCrow\Raster\Histogram;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\Piece;

/** Which of a sheet's layers lies on top at each pixel of a window: each has a number, 0 is bare cloth. */
final readonly class Topmost
{
    /** Level of alpha beyond which a pixel is more ink than cloth. */
    public const HALF = 127.0;

    private const MOST = 255;

    private const AT_ONCE = 16;

    /**
     * @param  Image  $numbers  one 8-bit band
     * @param  list<string>  $ids  of layers, that of number 1 first
     * @param  array<string, int>  $whole  pixels that each would have, were nothing over it
     */
    private function __construct(
        private Image $numbers,
        public array $ids,
        public array $whole,
    ) {}

    /**
     * @param  list<Layer>  $layers  from the cloth up; of more than fit in a byte, the uppermost
     * @param  \Closure(Layer, Frame): ?Piece  $piece
     * @param  ?\Closure(Layer): float  $least  level of alpha beyond which a layer's ink is seen; HALF unless given
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
            // Each is measured as large as it is; all of them are laid in one go, a few at a time.
            $ink = $own->image->alpha()->isMore($least === null ? self::HALF : $least($layer))->settled();
            $laid = $ink->embed($own->frame->left - $frame->left, $own->frame->top - $frame->top, $frame->width, $frame->height);
            $within = $own->frame->overlap($frame);
            $whole[$layer->id] = $within === null ? 0 : (int) round(($within->width === $own->frame->width && $within->height === $own->frame->height ? $ink : $laid)->area());
            $numbers = $laid->chosen($laid->linearByte(count($ids) / 255), $numbers);
            $numbers = count($ids) % self::AT_ONCE === 0 ? $numbers->settled() : $numbers;
        }

        return new self($numbers->settled(), $ids, $whole);
    }

    /** Where one layer is seen: 255 there. */
    public function seen(string $id): Image
    {
        return $this->numbers->isEqual((float) ((int) array_search($id, $this->ids, true) + 1))->settled();
    }

    /**
     * How many pixels of a mask show each layer.
     *
     * @param  ?Image  $within  all of the window unless given
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

    /** Whether a layer is drawn at all in a window as large as a picture. */
    public function shows(string $id, Image $picture): bool
    {
        return in_array($id, $this->ids, true) && $this->fits($picture);
    }

    public function fits(Image $mask): bool
    {
        return $mask->width() === $this->numbers->width() && $mask->height() === $this->numbers->height();
    }
}
