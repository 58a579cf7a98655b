<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Calendar\Due;
use App\Calendar\ICalendar;
use App\Calendar\Planner;
use App\Calendar\Today;
use App\Models\Shop;
use App\Tenancy\CurrentShop;
use Illuminate\Http\Response;

/** Due dates as a calendar feed under a secret URL. */
final class FeedController
{
    public function __invoke(string $secret, CurrentShop $current): Response
    {
        $shop = preg_match('/^[0-9a-f]{48}$/', $secret) === 1 ? Shop::query()->where('calendar_secret', $secret)->first() : null;
        if ($shop === null) {
            return new Response('There is no such calendar.', 404, ['Content-Type' => 'text/plain; charset=UTF-8']);
        }
        $current->enter($shop);
        $planner = new Planner($shop);
        $dues = array_map(fn (Due $due): array => ['uid' => sha1($due->says).'@tall-crow', 'name' => $due->says, 'on' => $due->on, 'note' => ''], Today::of($shop));
        foreach ($planner->open() as $work) {
            $dues[] = ['uid' => "list-$work->id@tall-crow", 'name' => "List $work->title", 'on' => $planner->listBy($work), 'note' => "For {$work->occurs_on->format('Y-m-d')}"];
            $dues[] = ['uid' => "design-$work->id@tall-crow", 'name' => "$work->title is drawn by today", 'on' => $planner->designBy($work), 'note' => "For {$work->occurs_on->format('Y-m-d')}"];
        }

        return new Response(ICalendar::dues($dues), 200, ['Content-Type' => 'text/calendar; charset=UTF-8', 'Cache-Control' => 'no-store', 'X-Robots-Tag' => 'noindex']);
    }
}
