<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Exports;
use App\Http\Resources\ExportCard;
use App\Models\Export;
use App\Models\PrintJob;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Sends jobs to file, tells how far they are, and hands the files out. */
final class ExportController
{
    public function index(PrintJob $job): AnonymousResourceCollection
    {
        return ExportCard::collection($job->exports()->orderByDesc('id')->limit(100)->get());
    }

    public function store(PrintJob $job, Exports $exports): ExportCard
    {
        return new ExportCard($exports->start($job->load('head')));
    }

    public function show(Export $export): ExportCard
    {
        return new ExportCard($export);
    }

    public function cancel(Export $export, Exports $exports): ExportCard
    {
        return new ExportCard($exports->cancel($export));
    }

    public function file(Export $export): BinaryFileResponse
    {
        abort_unless(is_file($export->path()), 404, 'This export has no file: it was not finished.');

        return response()->download($export->path(), $export->file, ['Content-Type' => 'image/png']);
    }
}
