<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Upkeep\Metrics;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Figures for a monitor, in the text form of Prometheus (exposition format 0.0.4). Off until CROW_METRICS_TOKEN names who may read them. */
final class MetricsController
{
    public function __invoke(Request $request): Response
    {
        $token = config('crow.metrics_token');
        abort_unless(is_string($token) && $token !== '', 404);
        abort_unless(hash_equals($token, (string) $request->bearerToken()), 401);

        return response(Metrics::text(), 200, ['Content-Type' => 'text/plain; version=0.0.4; charset=utf-8']);
    }
}
