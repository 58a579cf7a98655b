<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Exports;
use App\Bench\WantedFile;
use App\Files\ShopFiles;
use App\Http\Answers\ExportCard;
use App\Models\Export;
use App\Models\PrintJob;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Export\FileKind;
use TallCrow\Export\PrintForm;

/** Starts exports, reports their progress, and serves the files. */
final class ExportController
{
    /** @return array<int, ExportCard> */
    public function index(PrintJob $job): array
    {
        return $job->exports()->orderByDesc('id')->limit(100)->get()->map(ExportCard::of(...))->all();
    }

    public function store(Request $request, PrintJob $job, Exports $exports): JsonResponse
    {
        $request->validate(['why' => ['sometimes', 'nullable', 'string', 'max:500'], 'kind' => ['sometimes', 'nullable', Rule::enum(FileKind::class)], 'cut' => ['sometimes', 'nullable', 'numeric', 'between:0,2']], ['cut.between' => 'A cut line runs 0 to 2 in from the ink.']);
        $form = new PrintForm($request->enum('kind', FileKind::class) ?? FileKind::Png, cut: $request->filled('cut') ? $request->float('cut') : null);

        return ExportCard::of($exports->start($job->load(['head', 'shop']), $request->string('why')->toString(), new WantedFile(form: $form)))->created();
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

        return response()->download($path, $export->file, ['Content-Type' => $export->isListing() ? 'image/jpeg' : (FileKind::ofEnding(pathinfo($export->file, PATHINFO_EXTENSION)) ?? FileKind::Png)->mime()]);
    }
}
