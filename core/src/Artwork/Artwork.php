<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Swatch;
use TallCrow\Mask\PictureMask;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Refit;
use TallCrow\Texture\Wear;

/** A whole build sheet. Its picture is computed from it and nothing else but its assets. */
final readonly class Artwork
{
    public const FORMAT = 'tallcrow.artwork/2';

    /**
     * @param  list<Garment>  $garments
     * @param  list<Layer>  $layers  in print order: the first lies on the cloth
     * @param  list<Wear>  $distress  over the whole sheet
     * @param  list<Swatch>  $swatches  colours by name, changed once and changed on every line that names them
     */
    public function __construct(
        public string $title,
        public Product $product,
        public Side $side,
        public PrintMethod $method,
        public HouseRule $rule,
        public Sheet $sheet,
        public array $garments,
        public array $layers,
        public array $distress,
        public array $swatches = [],
        public Limits $limits = new Limits,
    ) {}

    /** @return list<Layer> every layer at any depth, groups before what they hold */
    public function everyLayer(): array
    {
        return self::flattened($this->layers);
    }

    public function layer(string $id): ?Layer
    {
        foreach ($this->everyLayer() as $layer) {
            if ($layer->id === $id) {
                return $layer;
            }
        }

        return null;
    }

    /** The same artwork with one layer, at any depth, replaced or (null) taken out. */
    public function withLayer(string $id, ?Layer $by): self
    {
        return $this->with(layers: self::replaced($this->layers, $id, $by));
    }

    /**
     * @param  ?list<Garment>  $garments
     * @param  ?list<Layer>  $layers
     * @param  ?list<Wear>  $distress
     * @param  ?list<Swatch>  $swatches
     */
    public function with(?Sheet $sheet = null, ?array $garments = null, ?array $layers = null, ?array $distress = null, ?array $swatches = null): self
    {
        return new self(
            $this->title, $this->product, $this->side, $this->method, $this->rule,
            $sheet ?? $this->sheet, $garments ?? $this->garments, $layers ?? $this->layers, $distress ?? $this->distress, $swatches ?? $this->swatches, $this->limits,
        );
    }

    /** Moves the design to another print area, every measure sized alike. */
    public function refitted(PrintArea $to): self
    {
        $refit = Refit::contain($this->sheet->area(), $to);

        return $this->with(
            sheet: Sheet::of($to),
            layers: array_map(
                fn (Layer $layer): Layer => $layer->scaled($refit->scale, 0, 0)->moved($refit->shiftX, $refit->shiftY),
                $this->layers,
            ),
            distress: array_map(fn (Wear $wear): Wear => Scaling::wear($wear, $refit->scale), $this->distress),
        );
    }

    /** @return list<string> file names of the fonts and pictures that it needs */
    public function assets(): array
    {
        $names = array_map(fn (Wear $wear): string => $wear->file, $this->distress);
        foreach ($this->everyLayer() as $layer) {
            $names[] = match (true) {
                $layer->source instanceof TextSource => $layer->source->font,
                $layer->source instanceof ArtSource => $layer->source->file,
                default => '',
            };
            foreach ($layer->effects as $line) {
                array_push($names, ...$line->assets());
            }
            foreach ($layer->distress as $wear) {
                $names[] = $wear->file;
            }
            foreach ($layer->masks as $mask) {
                $names[] = $mask instanceof PictureMask ? $mask->file : '';
            }
        }

        return array_values(array_unique(array_filter($names, fn (string $name): bool => $name !== '')));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'format' => self::FORMAT,
            'title' => $this->title,
            'product' => $this->product->value,
            'side' => $this->side->value,
            'method' => $this->method->value,
            'rule' => $this->rule->value,
            'sheet' => ['width' => $this->sheet->width, 'height' => $this->sheet->height, 'ppi' => $this->sheet->ppi->value],
            'garments' => array_map(fn (Garment $g): array => ['name' => $g->name, 'colour' => $g->colour->toHex()], $this->garments),
            'swatches' => array_map(fn (Swatch $s): array => ['name' => $s->name, 'colour' => $s->colour->toHex()], $this->swatches),
            'layers' => array_map(fn (Layer $layer): array => $layer->toArray(), $this->layers),
            'distress' => array_map(fn (Wear $wear): array => $wear->toArray(), $this->distress),
            'limits' => $this->limits->toArray(),
        ];
    }

    /**
     * @param  list<Layer>  $layers
     * @return list<Layer>
     */
    private static function flattened(array $layers): array
    {
        $all = [];
        foreach ($layers as $layer) {
            array_push($all, $layer, ...self::flattened($layer->children()));
        }

        return $all;
    }

    /**
     * @param  list<Layer>  $layers
     * @return list<Layer>
     */
    private static function replaced(array $layers, string $id, ?Layer $by): array
    {
        $out = [];
        foreach ($layers as $layer) {
            if ($layer->id === $id) {
                $layer = $by;
            } elseif ($layer->source instanceof GroupSource) {
                $layer = $layer->with(source: new GroupSource(self::replaced($layer->source->layers, $id, $by)));
            }
            if ($layer !== null) {
                $out[] = $layer;
            }
        }

        return $out;
    }
}
