<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Bench\Benches;
use App\Bench\SaveKey;
use App\Models\PrintJob;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers a repeated save, recognised by its Idempotency-Key (draft-ietf-httpapi-idempotency-key-header), with the job's current state. */
final readonly class AnswerOnce
{
    public function __construct(
        private SaveKey $key,
        private Benches $benches,
    ) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $job = $request->route('job');
        $this->key->take($request->header('Idempotency-Key'));
        if ($job instanceof PrintJob && ! $request->isMethodSafe() && $this->key->isAnswered($job)) {
            return $this->benches->laid($job->load(['head', 'shop']))->toResponse($request);
        }

        return $next($request);
    }
}
