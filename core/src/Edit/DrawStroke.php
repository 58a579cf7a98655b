<?php

declare(strict_types=1);

namespace TallCrow\Edit;

use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\DrawnSource;
use TallCrow\Artwork\EffectLine;
use TallCrow\Artwork\Flip;
use TallCrow\Artwork\InkStroke;
use TallCrow\Artwork\Layer;
use TallCrow\Artwork\Placement;
use TallCrow\Artwork\Reading;
use TallCrow\Artwork\SourceReader;
use TallCrow\Effect\Values;
use TallCrow\Render\Placer;

/** Adds a stroke of ink to an existing drawing or a new one. Strokes already drawn keep their places. */
final readonly class DrawStroke extends Operation
{
    /**
     * @param  string  $id  of a drawing; empty for a new one
     * @param  InkStroke  $stroke  its points in inches on the sheet
     */
    public function __construct(public string $id, public InkStroke $stroke) {}

    public static function name(): string
    {
        return 'draw';
    }

    public static function read(Reading $node): self
    {
        $node->knows('op', 'id', 'stroke');

        return new self($node->text('id', 40, ''), SourceReader::stroke($node->child('stroke')));
    }

    public function apply(Artwork $artwork, Placer $placer): Edited
    {
        if ($this->stroke->points === []) {
            throw EditRefused::noStroke();
        }
        if ($this->id === '') {
            $sheet = $artwork->sheet->box();
            $id = Pieces::freshId($artwork);
            $source = new DrawnSource([$this->moved(-$sheet->centreX(), -$sheet->centreY(), 1.0)]);
            $box = $source->path()->bounds();
            $layer = Layer::piece($id, $source, new Placement(round($sheet->centreX() + $box->centreX(), 4), round($sheet->centreY() + $box->centreY(), 4), round(max(0.01, $box->width()), 4), null, 0.0, Flip::None))
                ->withEffects([new EffectLine('fill', new Values(['colour' => NewInk::standingOut($artwork)]), true)]);

            return Edited::choosing($artwork->withLayers([...$artwork->layers, $layer]), [$id]);
        }
        $layer = Pieces::one($artwork, $this->id);
        if (! $layer->source instanceof DrawnSource || $layer->placement === null) {
            throw EditRefused::noDrawing($layer->called());
        }

        return Edited::choosing($artwork->withLayer($this->id, $this->added($layer, $layer->source, $layer->placement, $placer)), [$this->id]);
    }

    private function added(Layer $layer, DrawnSource $source, Placement $placement, Placer $placer): Layer
    {
        $before = $source->path();
        $placing = $placer->place($layer);
        if (count($source->strokes) >= DrawnSource::MOST_STROKES) {
            throw EditRefused::tooMany('strokes in one drawing', DrawnSource::MOST_STROKES);
        }
        if ($before->isEmpty() || $placing === null) {
            throw EditRefused::noInk($layer->called());
        }
        $own = $before->bounds();
        // From the drawing's own inches, centred on 0, to those of the sheet, and back.
        $size = $placing->width / max(1e-9, $own->width());
        // A stretched drawing has different scales across and down.
        $down = $placing->height / max(1e-9, $own->height());
        $back = $placing->toSheet->inverse();
        $points = array_map(function (array $point) use ($back, $size, $down, $own): array {
            [$x, $y] = $back->apply(...$point);

            return [round($x / $size + $own->centreX(), 5), round($y / $down + $own->centreY(), 5)];
        }, $this->stroke->points);
        $stroke = new InkStroke($points, round($this->stroke->width / $size, 5), $this->stroke->tip, $this->stroke->symmetry, $this->stroke->count, $this->stroke->seed);
        $grown = new DrawnSource([...$source->strokes, $stroke]);
        $box = $grown->path()->bounds();
        [$x, $y] = $placing->toSheet->apply(($box->centreX() - $own->centreX()) * $size, ($box->centreY() - $own->centreY()) * $down);

        return $layer->withSource($grown)->withPlacement(new Placement(
            round($x, 5), round($y, 5), round($box->width() * $size, 5), $placement->height === null ? null : round($box->height() * $down, 5), $placement->turn, $placement->flip,
        ));
    }

    private function moved(float $dx, float $dy, float $by): InkStroke
    {
        return new InkStroke(
            array_map(fn (array $p): array => [round(($p[0] + $dx) * $by, 5), round(($p[1] + $dy) * $by, 5)], $this->stroke->points),
            $this->stroke->width, $this->stroke->tip, $this->stroke->symmetry, $this->stroke->count, $this->stroke->seed,
        );
    }
}
