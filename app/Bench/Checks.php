<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Revision;
use App\Models\Shop;
use TallCrow\Preflight\Preflight;
use TallCrow\Preflight\Report;

/** Preflight of a revision against the print area that its job is for. */
final class Checks
{
    /** @param  bool  $closely  with the checks that take their time, as where a design is examined */
    public static function report(Revision $revision, bool $closely): Report
    {
        $studio = Studio::of($revision->job->shop);

        return Preflight::artwork($revision->read(), $studio->renderer, $studio->shelf, $revision->job->area(), closely: $closely, words: self::words($revision->job->shop));
    }

    /** @return list<string> that the shop spells so, whatever dictionaries say */
    private static function words(Shop $shop): array
    {
        return array_values(array_filter($shop->words()->pluck('word')->all(), is_string(...)));
    }
}
