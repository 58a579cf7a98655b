<?php

declare(strict_types=1);

namespace TallCrow\Render;

use TallCrow\Raster\Image;

/** The ink that wear must leave alone. */
final readonly class Spared
{
    /**
     * @param  array<string, Piece>  $ink  shielded layers' pieces, by id
     * @param  array<string, Piece>  $about  shapes of shielded knockouts with their margin, by id: all ink there stays
     */
    public function __construct(public array $ink = [], public array $about = []) {}

    public function isEmpty(): bool
    {
        return $this->ink === [] && $this->about === [];
    }

    public function and(self $other): self
    {
        return new self($this->ink + $other->ink, $this->about + $other->about);
    }

    /**
     * The share of each pixel's ink that is not spared. Example: a spared edge covers half a pixel. On bare cloth all ink of that pixel is spared; on other ink
     * the half that shows beside it is not.
     *
     * @param  Image  $alpha  alpha of all the ink in a window: one band, settled
     * @return Image one band, 255 where wear may take all
     */
    public function open(Frame $frame, Image $alpha): Image
    {
        $open = Image::empty($frame->width, $frame->height, 1)->inverted();
        $ink = self::within($this->ink, $frame);
        if ($ink !== []) {
            $left = min(array_map(fn (Piece $piece): int => $piece->frame->left, $ink));
            $top = min(array_map(fn (Piece $piece): int => $piece->frame->top, $ink));
            $near = new Frame(
                $frame->ppi, $left, $top,
                max(array_map(fn (Piece $piece): int => $piece->frame->left + $piece->frame->width, $ink)) - $left,
                max(array_map(fn (Piece $piece): int => $piece->frame->top + $piece->frame->height, $ink)) - $top,
            );
            $free = self::without(Image::empty($near->width, $near->height, 1)->inverted(), $ink, $near)->settled();
            [$left, $top] = [$near->left - $frame->left, $near->top - $frame->top];
            $open = $open->insert(self::ofInk($free, $alpha->crop($left, $top, $near->width, $near->height)), $left, $top);
        }

        return self::without($open, self::within($this->about, $frame), $frame)->settled();
    }

    /**
     * @param  array<string, Piece>  $pieces
     * @return list<Piece> the parts that lie within a window
     */
    private static function within(array $pieces, Frame $frame): array
    {
        return array_values(array_filter(array_map(fn (Piece $piece): ?Piece => $piece->cut($frame), $pieces)));
    }

    /** @param  list<Piece>  $pieces  within the window */
    private static function without(Image $open, array $pieces, Frame $frame): Image
    {
        foreach ($pieces as $piece) {
            [$left, $top] = [$piece->frame->left - $frame->left, $piece->frame->top - $frame->top];
            $here = $open->crop($left, $top, $piece->frame->width, $piece->frame->height);
            $open = $open->insert($here->times($piece->image->alpha()->inverted()), $left, $top);
        }

        return $open;
    }

    /**
     * (A − a) / A, where A is all the ink of a pixel and a the spared part.
     *
     * @param  Image  $free  1 - a
     */
    private static function ofInk(Image $free, Image $alpha): Image
    {
        return $free->linear(1.0)->minus($alpha->inverted()->linear(1.0))->divided($alpha->linear(1.0))->linearByte(255.0);
    }
}
