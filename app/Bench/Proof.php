<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Revision;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Role;
use TallCrow\Artwork\Taking;
use TallCrow\Colour\Srgb;
use TallCrow\Raster\Image;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;
use TallCrow\Render\Piece;

/** The proofs of one revision at one ppi. Layers that cannot be drawn are left out; the interface shows why. */
final readonly class Proof
{
    /** Limits of a proof: at most the print's own resolution, and no larger than the loupe needs. */
    private const MOST_PPI = 300.0;

    private const MOST_PIXELS = 4_000_000;

    /** A colour that hardly any design uses, so that it is visible on all. */
    private const LOUD = '#ff00c8';

    private function __construct(
        private Artwork $artwork,
        private Studio $studio,
        private float $ppi,
        private int $compression,
        private ProofSteps $steps,
    ) {}

    /**
     * @param  bool  $near  the browser is on this machine: packing the picture would take longer than sending it whole
     * @param  bool  $atBench  it is let go once the sheet is saved anew
     */
    public static function of(Revision $revision, float $ppi, bool $near, bool $atBench = false): self
    {
        $ppi = min(self::MOST_PPI, max(4.0, $ppi));

        return new self($revision->read(), Studio::of($revision->job->shop), $ppi, $near ? 0 : 1, ProofSteps::of($revision, $ppi, $atBench));
    }

    /** The same proof for a changed sheet that is not saved. */
    public function trying(Artwork $artwork): self
    {
        return new self($artwork, $this->studio, $this->ppi, $this->compression, $this->steps);
    }

    /**
     * @param  ?array{int, int, int, int}  $region  left, top, width, height in pixels of the proof
     * @param  string  $without  id of a layer to leave out
     */
    public function sheet(?array $region, string $without = ''): string
    {
        $frame = Frame::sheet($this->artwork->sheet, $this->ppi);
        if ($region !== null) {
            $frame = $frame->overlap(new Frame($this->ppi, $region[0], $region[1], max(1, $region[2]), max(1, $region[3]))) ?? abort(404, 'That part lies off the sheet.');
        }
        abort_if($frame->width * $frame->height > self::MOST_PIXELS, 422, 'This proof is too large: ask for a part of it, or for fewer ppi.');
        $layer = $this->artwork->layer($without);
        $artwork = $layer === null ? $this->artwork : $this->artwork->withLayer($without, $layer->withOn(false));

        try {
            return ImageFile::png($this->studio->renderer->picture($artwork, $frame, fn (LayerTrouble $trouble): null => null, $this->steps), $this->compression);
        } finally {
            $this->steps->done();
        }
    }

    /** The ink of one layer, with the given length of its longer side in pixels; null if it has none. */
    public function small(string $id, int $side): ?string
    {
        $layer = $this->artwork->layer($id);
        $box = $layer === null ? null : $this->studio->renderer->placer->box($layer);
        if ($layer === null || $box === null) {
            return null;
        }
        $frame = Frame::sheet($this->artwork->sheet, max(4.0, min($this->ppi, $side / max(0.1, $box->width(), $box->height()))));
        $piece = $this->studio->renderer->layer($layer->withRole(Role::ink()), $frame, $this->artwork);

        return $piece === null ? null : ImageFile::png($piece->image, $this->compression);
    }

    /** One layer in its place on the whole sheet, to be laid over the proof and dragged. */
    public function layer(string $id): ?string
    {
        $frame = Frame::sheet($this->artwork->sheet, $this->ppi);
        $layer = $this->artwork->layer($id);
        $piece = $layer === null ? null : $this->studio->renderer->layer($layer, $frame, $this->artwork);
        if ($piece === null) {
            return null;
        }
        $ink = $layer->role->takesAway()
            ? Image::flat(Srgb::hex('#b5482a'), $piece->image->alpha()->linearByte(0.6))
            : $piece->image;

        return ImageFile::png($ink->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height), $this->compression);
    }

    /**
     * The ink that masks, wear and background removal clear, in a signal colour on the whole sheet: of one layer, or of the whole
     * sheet if no layer is given. Null if nothing is cleared.
     */
    public function taken(?string $id): ?string
    {
        $frame = Frame::sheet($this->artwork->sheet, $this->ppi);
        $renderer = $this->studio->renderer;
        $skip = fn (LayerTrouble $trouble): null => null;
        if ($id === null) {
            $whole = $renderer->picture($this->artwork->withDistress([]), $frame, $skip)->alpha();
            $left = $renderer->picture($this->artwork, $frame, $skip)->alpha();
        } else {
            $layer = $this->artwork->layer($id);
            $all = $layer === null ? null : $renderer->layer(Taking::whole($layer->withRole(Role::ink())), $frame, $this->artwork);
            if ($layer === null || $all === null) {
                return null;
            }
            $now = $renderer->layer($layer->withRole(Role::ink()), $frame, $this->artwork);
            [$whole, $left] = [self::over($all, $frame), $now === null ? Image::empty($frame->width, $frame->height, 1) : self::over($now, $frame)];
        }

        return ImageFile::png(Image::flat(Srgb::hex(self::LOUD), $whole->times($left->inverted())), $this->compression);
    }

    /** The masks of a layer: white where it is visible. */
    public function mask(string $id): ?string
    {
        $frame = Frame::sheet($this->artwork->sheet, $this->ppi);
        $layer = $this->artwork->layer($id);
        $mask = $layer === null ? null : $this->studio->renderer->compositor(artwork: $this->artwork)->mask($layer, $frame);
        if ($mask === null) {
            return null;
        }
        $shade = $mask->linearByte(1.0);

        return ImageFile::png($shade->withBand($shade)->withBand($shade)->asColours()->withBand(Image::empty($frame->width, $frame->height, 1)->linearByte(1.0, 235)), $this->compression);
    }

    private static function over(Piece $piece, Frame $frame): Image
    {
        return $piece->image->alpha()->embed($piece->frame->left - $frame->left, $piece->frame->top - $frame->top, $frame->width, $frame->height)->settled();
    }

    /** The colour of the ink at a point; null if there is none. */
    public function colour(float $x, float $y): ?Srgb
    {
        $ppi = 75.0;
        $spot = Frame::sheet($this->artwork->sheet, $ppi)->overlap(new Frame($ppi, (int) floor($x * $ppi), (int) floor($y * $ppi), 1, 1));
        $pixel = $spot === null ? "\0\0\0\0" : $this->studio->renderer->picture($this->artwork, $spot, fn (LayerTrouble $trouble): null => null)->toBytes();

        return ord($pixel[3]) < 24 ? null : Srgb::of(ord($pixel[0]), ord($pixel[1]), ord($pixel[2]));
    }

    /** @return list<string> */
    public function pick(float $x, float $y): array
    {
        return $this->studio->renderer->pick($this->artwork, $x, $y);
    }
}
