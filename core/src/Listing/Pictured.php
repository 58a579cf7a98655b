<?php

declare(strict_types=1);

namespace TallCrow\Listing;

use TallCrow\Artwork\Artwork;
use TallCrow\Colour\Srgb;
use TallCrow\Press\Press;
use TallCrow\Raster\Image;
use TallCrow\Render\Frame;
use TallCrow\Render\InkBox;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Renderer;

/** A design in a scene, shown on each of its cloths; what does not depend on the cloth is drawn once. */
final readonly class Pictured
{
    /** Pixels around the part shown on which the simulated press depends. */
    private const RIM = 24;

    /** @param  \Closure(Srgb): Image  $draw */
    private function __construct(private \Closure $draw) {}

    public static function of(Artwork $artwork, Scene $scene, Renderer $renderer): self
    {
        $silent = fn (LayerTrouble $trouble): null => null;
        if ($scene->sheet->view === SceneView::Close) {
            return new self(self::close($artwork, $scene, $renderer, $silent));
        }
        $art = $renderer->picture($artwork, Frame::sheet($artwork->sheet, max(10.0, ListingPicture::ppi($scene))), $silent)->settled();
        $picture = ListingPicture::of($scene, $art, $artwork->sheet);

        return new self($picture->on(...));
    }

    /** @return Image opaque sRGB, as large as the scene */
    public function on(Srgb $cloth): Image
    {
        return ($this->draw)($cloth);
    }

    /**
     * The centre of the print at its own resolution, as the press simulation shows it.
     *
     * @return \Closure(Srgb): Image
     */
    private static function close(Artwork $artwork, Scene $scene, Renderer $renderer, callable $silent): \Closure
    {
        $ppi = $artwork->sheet->ppi->value;
        $box = InkBox::of($artwork, $renderer) ?? $artwork->sheet->box();
        $wide = (new Frame($ppi, (int) round($box->centreX() * $ppi - $scene->width / 2), (int) round($box->centreY() * $ppi - $scene->height / 2), $scene->width, $scene->height))->grown(self::RIM);
        $art = $renderer->picture($artwork, $wide, $silent)->settled();

        return fn (Srgb $cloth): Image => Press::of($artwork->brief->method, $cloth, $ppi)->printed($art, [$wide->left, $wide->top])->crop(self::RIM, self::RIM, $scene->width, $scene->height)->settled();
    }
}
