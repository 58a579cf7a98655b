<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Briefs;
use App\Http\Requests\Brief;
use App\Http\Resources\BenchJob;
use App\Http\Resources\JobCard;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Illuminate\Http\Response;

/** The seller's jobs. */
final class JobController
{
    public function index(Shop $shop): AnonymousResourceCollection
    {
        return JobCard::collection($shop->jobs()->with(['head'])->withCount(['exports' => fn ($query) => $query->where('state', 'done')])->orderByDesc('updated_at')->get());
    }

    public function store(Brief $brief, Shop $shop, Briefs $briefs): JsonResponse
    {
        return (new BenchJob($briefs->create($shop, $brief)))->response()->setStatusCode(201);
    }

    public function show(PrintJob $job): BenchJob
    {
        return new BenchJob($job->load(['head', 'shop']));
    }

    public function destroy(PrintJob $job): Response
    {
        $job->delete();

        return response()->noContent();
    }
}
