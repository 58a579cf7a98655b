<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Exports;
use App\Files\ShopFiles;
use App\Http\Answers\ExportCard;
use App\Models\Export;
use App\Models\PrintJob;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Export\FileKind;

/** Sends jobs to file, tells how far they are, and hands the files out. */
final class ExportController
{
    /** @return array<int, ExportCard> */
    public function index(PrintJob $job): array
    {
        return $job->exports()->orderByDesc('id')->limit(100)->get()->map(ExportCard::of(...))->all();
    }

    public function store(Request $request, PrintJob $job, Exports $exports): JsonResponse
    {
        $request->validate(['why' => ['sometimes', 'nullable', 'string', 'max:500']]);

        return ExportCard::of($exports->start($job->load(['head', 'shop']), $request->string('why')->toString()))->created();
    }

    public function show(Export $export): ExportCard
    {
        return ExportCard::of($export);
    }

    public function cancel(Export $export, Exports $exports): ExportCard
    {
        return ExportCard::of($exports->cancel($export));
    }

    public function file(Export $export): BinaryFileResponse
    {
        $path = ShopFiles::of($export->shop)->export($export) ?? abort(404, 'This export has no file: it was not finished.');

        return response()->download($path, $export->file, ['Content-Type' => (FileKind::tryFrom(strtr(pathinfo($export->file, PATHINFO_EXTENSION), ['tif' => 'tiff'])) ?? FileKind::Png)->mime()]);
    }
}
