<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Revision;
use TallCrow\Artwork\Garment;
use TallCrow\Raster\ImageFile;
use TallCrow\Render\Frame;
use TallCrow\Render\LayerTrouble;

/** A report of a revision for a partner or printer: the design on its cloths, the measurements, and the findings marked as intended. */
final readonly class ReportPaper
{
    private const PPI = 60.0;

    private function __construct(private Revision $revision) {}

    public static function of(Revision $revision): self
    {
        return new self($revision);
    }

    /** A self-contained page. */
    public function html(): string
    {
        // Compressed, since the page contains it once for each cloth.
        $png = 'data:image/png;base64,'.base64_encode(Proof::of($this->revision, self::PPI, near: false)->sheet(null));

        return $this->page(fn (Garment $garment): string => $png, onPaper: false);
    }

    /** @param  \Closure(Garment): string  $picture */
    private function page(\Closure $picture, bool $onPaper): string
    {
        $artwork = $this->revision->read();

        return view('report', [
            'artwork' => $artwork, 'report' => Checks::report($this->revision, true), 'pictures' => array_map($picture, $artwork->brief->garments),
            'day' => now()->toDateString(), 'onPaper' => $onPaper,
        ])->render();
    }

    public function pdf(): string
    {
        $artwork = $this->revision->read();
        $art = Studio::of($this->revision->job->shop)->renderer->picture($artwork, Frame::sheet($artwork->sheet, self::PPI), fn (LayerTrouble $trouble): null => null)->settled();

        return Paper::pdf($this->page(fn (Garment $garment): string => 'data:image/jpeg;base64,'.base64_encode(ImageFile::jpegOn($art, $garment->colour)), onPaper: true));
    }
}
