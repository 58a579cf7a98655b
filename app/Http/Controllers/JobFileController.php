<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\Benches;
use App\Bench\JobFiles;
use App\Http\Requests\JobUpload;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Export\PrintPng;
use TallCrow\Pack\JobPackRefused;

/** Download and import of job files. */
final class JobFileController
{
    public function download(PrintJob $job, JobFiles $files): BinaryFileResponse
    {
        $name = pathinfo(PrintPng::fileName($job->title), PATHINFO_FILENAME).'.crow';

        return response()->download($files->write($job->load(['head', 'shop'])), $name, ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    public function open(JobUpload $request, Shop $shop, JobFiles $files, Benches $benches): JsonResponse
    {
        $file = $request->upload();
        try {
            return $benches->laid($files->open($shop, $file->getPathname()))->created();
        } catch (JobPackRefused $refused) {
            Log::notice('A job file was refused.', ['shop' => $shop->id, 'bytes' => $file->getSize(), 'reason' => $refused::class]);
            throw $refused;
        }
    }
}
