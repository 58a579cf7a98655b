<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Revision;
use App\Models\Shop;
use App\Sending\Destination;
use TallCrow\House\Fit;
use TallCrow\House\HouseDemands;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;

/** Preflight of a revision against its job's print area and the requirements of the houses it will be sent to. */
final class Checks
{
    /**
     * @param  bool  $closely  with the checks that take their time, as where a design is examined
     * @param  bool  $atBench  they are let go once the sheet is saved anew
     *
     * @throws NobodyWaits
     */
    public static function report(Revision $revision, bool $closely, bool $atBench = false): Report
    {
        $waiting = Waiting::for($revision, $atBench);
        $shop = $revision->job->shop;
        $studio = Studio::of($shop);
        $artwork = $revision->read();
        $judges = Destination::judging($revision->job);
        $fits = array_map(fn (Destination $to): Fit => $to->fit($artwork, $studio->renderer), $judges);
        $demands = $fits === [] ? null : HouseDemands::strictest($fits, $artwork->brief->method);
        [$area, $words] = [$revision->job->area(), self::words($shop)];

        return $studio->reports->report($artwork, $area, $closely, $words, $demands, fn (): Report => Preflight::artwork(
            $artwork, $studio->renderer, $studio->shelf, $area, closely: $closely, words: $words, demands: $demands, before: $waiting->goOn(...),
        ));
    }

    /** @return list<string> that the shop spells so, whatever dictionaries say */
    private static function words(Shop $shop): array
    {
        return array_values(array_filter($shop->words()->orderBy('word')->pluck('word')->all(), is_string(...)));
    }
}
