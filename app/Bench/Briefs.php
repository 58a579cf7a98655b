<?php

declare(strict_types=1);

namespace App\Bench;

use App\Http\Requests\Brief;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Support\Facades\DB;
use TallCrow\Artwork\Artwork;
use TallCrow\Artwork\PrintMethod;
use TallCrow\Artwork\Product;
use TallCrow\Artwork\Sheet;
use TallCrow\Artwork\Side;
use TallCrow\Measure\HouseRule;
use TallCrow\Measure\PrintArea;
use TallCrow\Measure\Refit;

/** Starts jobs from a brief, and changes the brief of those under way. */
final readonly class Briefs
{
    public function __construct(private Revisions $revisions) {}

    public function create(Shop $shop, Brief $brief): PrintJob
    {
        $area = $brief->area();

        return $this->start($shop, $area, self::briefed($brief, Sheet::of($area)));
    }

    public function start(Shop $shop, PrintArea $area, Artwork $artwork): PrintJob
    {
        return DB::transaction(function () use ($shop, $area, $artwork): PrintJob {
            $job = $shop->jobs()->create(['title' => $artwork->title, 'version' => 0] + self::columns($area))->refresh();

            return $this->revisions->save($job->load('head'), $job->version, $artwork);
        });
    }

    /** @throws StaleVersion */
    public function rebrief(PrintJob $job, Brief $brief): PrintJob
    {
        return DB::transaction(function () use ($job, $brief): PrintJob {
            $area = $brief->area();
            $old = $job->head?->read();
            $artwork = self::briefed($brief, $old->sheet ?? Sheet::of($area))->with(layers: $old->layers ?? [], distress: $old->distress ?? [], swatches: $old->swatches ?? []);
            if ($brief->string('fit')->toString() === 'refit') {
                $artwork = $artwork->refitted($area);
            } elseif ($artwork->sheet != Sheet::of($area)) {
                $shift = Refit::sameSize($artwork->sheet->area(), $area);
                $artwork = $artwork->with(sheet: Sheet::of($area), layers: array_map(fn ($layer) => $layer->moved($shift->shiftX, $shift->shiftY), $artwork->layers));
            }
            $saved = $this->revisions->save($job, $brief->integer('version'), $artwork);
            $saved->update(self::columns($area));

            return $saved;
        });
    }

    private static function briefed(Brief $brief, Sheet $sheet): Artwork
    {
        return new Artwork(
            $brief->string('title')->trim()->toString(),
            Product::from($brief->string('product')->toString()),
            Side::from($brief->string('side')->toString()),
            PrintMethod::from($brief->string('method')->toString()),
            HouseRule::from($brief->string('rule')->toString()),
            $sheet,
            $brief->garments(),
            [],
            [],
        );
    }

    /** @return array<string, int|float|string> */
    private static function columns(PrintArea $area): array
    {
        return ['area_name' => $area->name, 'area_width' => $area->width, 'area_height' => $area->height, 'area_ppi' => $area->ppi->value];
    }
}
