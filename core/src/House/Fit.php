<?php

declare(strict_types=1);

namespace TallCrow\House;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Sheet;
use TallCrow\Geometry\Affine;
use TallCrow\Geometry\Box;
use TallCrow\Measure\Refit;
use TallCrow\Render\InkBox;
use TallCrow\Render\Placer;
use TallCrow\Render\Renderer;

/** A design refitted to a house's print place, with the consequences of the refit. */
final readonly class Fit
{
    /**
     * @param  float  $scale  factor applied to every length
     * @param  ?Box  $ink  on the new sheet, inches
     */
    private function __construct(
        public Artwork $artwork,
        public HousePlace $place,
        public Fitting $fitting,
        public float $scale,
        public ?Box $ink,
        private ?float $ppi,
    ) {}

    public static function of(Artwork $artwork, HousePlace $place, Fitting $fitting, Renderer $renderer): self
    {
        $mode = $fitting->mode;
        $from = $artwork->sheet->area();
        $to = $place->area;
        $ink = InkBox::of($artwork, $renderer);
        $room = [max(0.1, $to->widthInches() - 2 * $place->margin), max(0.1, $to->heightInches() - 2 * $place->margin)];
        $scale = match ($mode) {
            FitMode::Contain => min($to->widthInches() / $from->widthInches(), $to->heightInches() / $from->heightInches()),
            FitMode::Width => $to->widthInches() / $from->widthInches(),
            FitMode::Height => $to->heightInches() / $from->heightInches(),
            FitMode::Ink => $ink === null ? 1.0 : min($room[0] / $ink->width(), $room[1] / $ink->height()),
            FitMode::Inches, FitMode::Place, FitMode::Spread => 1.0,
        };
        $shiftX = ($to->widthInches() - $from->widthInches() * $scale) / 2;
        $shiftY = $mode === FitMode::Place ? 0.0 : ($to->heightInches() - $from->heightInches() * $scale) / 2;
        if ($mode === FitMode::Ink && $ink !== null) {
            [$shiftX, $shiftY] = [$to->widthInches() / 2 - $ink->centreX() * $scale, $to->heightInches() / 2 - $ink->centreY() * $scale];
        }
        $fitted = $mode === FitMode::Spread
            ? $artwork->withSheet(Sheet::of($to))->withLayers(array_map(fn (Layer $layer): Layer => self::spread($layer, $to->widthInches() / $from->widthInches(), $to->heightInches() / $from->heightInches()), $artwork->layers))
            : $artwork->laidOn(Sheet::of($to), Refit::by($scale, $shiftX, $shiftY), $fitting->kept(...));

        // If all ink is scaled by one factor, its box is computed without drawing it again.
        $isWhole = $mode !== FitMode::Spread && $fitting->keep === [];
        $fittedInk = $isWhole ? $ink?->transformed(Affine::scale($scale, $scale)->then(Affine::shift($shiftX, $shiftY))) : InkBox::of($fitted, $renderer);

        return new self($fitted, $place, $fitting, $scale, $fittedInk, self::leastPpi($fitted, $renderer->placer));
    }

    /**
     * What to know before sending it: parts that fall off the sheet, pictures below the house's ppi, ink near the edge.
     *
     * @return list<FitNote>
     */
    public function notes(): array
    {
        $notes = [];
        $area = $this->place->area;
        $sheet = new Box(0.0, 0.0, $area->widthInches(), $area->heightInches());
        if ($this->ink === null) {
            return [new FitNote(true, 'There is no ink to print.', '')];
        }
        $off = max(-$this->ink->left, -$this->ink->top, $this->ink->right - $sheet->right, $this->ink->bottom - $sheet->bottom);
        if ($off > 0.005) {
            $notes[] = new FitNote(true, sprintf('%.2f in of the ink fall off the sheet.', $off), 'Fit it by its ink, or as large as fits.');
        } elseif ($this->place->margin > 0 && $off > -$this->place->margin + 0.005) {
            $notes[] = new FitNote(false, sprintf('Ink comes to %.2f in from the edge; the house wants %.2f in free.', max(0.0, -$off), $this->place->margin), 'Fit it by its ink.');
        }
        if ($this->ppi !== null && $this->ppi < $this->place->least) {
            $notes[] = new FitNote(true, sprintf('A picture prints at %d ppi; %d is the least here.', (int) floor($this->ppi), (int) ceil($this->place->least)), sprintf('It would need %.2f times as many pixels; or print it at %d %% of this size.', $this->place->least / $this->ppi, (int) floor(100 * $this->ppi / $this->place->least)));
        } elseif ($this->ppi !== null && $this->ppi < $area->ppi->value) {
            $notes[] = new FitNote(false, sprintf('A picture prints at %d ppi; %d is wanted, %d accepted.', (int) floor($this->ppi), (int) round($area->ppi->value), (int) round($this->place->least)), '');
        }
        $stroke = $this->artwork->limits->stroke * $this->scale;
        if ($this->place->finestLine !== null && $stroke < $this->place->finestLine) {
            $notes[] = new FitNote(false, sprintf('Lines that were just held at %.3f in are %.3f in here; this house holds %.3f in.', $this->artwork->limits->stroke, $stroke, $this->place->finestLine), 'Look at Check on this house, or embolden them.');
        }

        return $notes;
    }

    private static function leastPpi(Artwork $artwork, Placer $placer): ?float
    {
        $all = array_filter(array_map(fn (Layer $layer): ?float => $layer->on ? $placer->effectivePpi($layer) : null, $artwork->everyLayer()));

        return $all === [] ? null : min($all);
    }

    private static function spread(Layer $layer, float $across, float $down): Layer
    {
        [$x, $y] = $layer->middle();

        return $layer->moved($x * ($across - 1), $y * ($down - 1));
    }
}
