<?php

declare(strict_types=1);

use App\Http\Controllers\AreaController;
use App\Http\Controllers\ArtworkController;
use App\Http\Controllers\AssetController;
use App\Http\Controllers\AssetPreviewController;
use App\Http\Controllers\BriefController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JobFileController;
use App\Http\Controllers\LengthController;
use App\Http\Controllers\OperationController;
use App\Http\Controllers\PreflightController;
use App\Http\Controllers\ProofController;
use App\Http\Controllers\SwatchController;
use App\Models\PrintJob;
use App\Models\Shop;
use Illuminate\Support\Facades\Route;

// Whatever is named in an address is looked up in the asking seller's shop alone.
Route::bind('job', fn (string $id): PrintJob => app(Shop::class)->jobs()->findOrFail($id));
foreach (['revision' => App\Models\Revision::class, 'export' => App\Models\Export::class, 'asset' => App\Models\Asset::class, 'area' => App\Models\SellersArea::class] as $name => $class) {
    Route::bind($name, fn (string $id) => $class::query()->where('shop_id', app(Shop::class)->id)->findOrFail($id));
}

Route::get('catalogue', CatalogueController::class);
Route::get('lengths', LengthController::class);

Route::get('jobs', [JobController::class, 'index']);
Route::post('jobs', [JobController::class, 'store']);
Route::post('jobs/open', [JobFileController::class, 'open']);
Route::get('jobs/{job}', [JobController::class, 'show']);
Route::get('jobs/{job}/file', [JobFileController::class, 'download']);
Route::delete('jobs/{job}', [JobController::class, 'destroy']);
Route::put('jobs/{job}/brief', BriefController::class);
Route::put('jobs/{job}/artwork', [ArtworkController::class, 'save']);
Route::post('jobs/{job}/undo', [ArtworkController::class, 'undo']);
Route::post('jobs/{job}/redo', [ArtworkController::class, 'redo']);
Route::post('jobs/{job}/operations', OperationController::class);
Route::get('jobs/{job}/swatches.gpl', [SwatchController::class, 'download']);
Route::post('jobs/{job}/swatches', [SwatchController::class, 'upload']);
Route::get('jobs/{job}/exports', [ExportController::class, 'index']);
Route::post('jobs/{job}/exports', [ExportController::class, 'store']);

Route::get('revisions/{revision}/proof.png', [ProofController::class, 'sheet']);
Route::get('revisions/{revision}/steps', [ProofController::class, 'steps']);
Route::get('revisions/{revision}/layers/{layer}.png', [ProofController::class, 'layer']);
Route::get('revisions/{revision}/layers/{layer}/buckets/{line}', [ProofController::class, 'buckets'])->whereNumber('line');
Route::get('revisions/{revision}/layers/{layer}/before/{line}.png', [ProofController::class, 'before'])->whereNumber('line');
Route::get('revisions/{revision}/taken.png', [ProofController::class, 'taken']);
Route::get('revisions/{revision}/pick', [ProofController::class, 'pick']);
Route::get('revisions/{revision}/colour', [ProofController::class, 'colour']);
Route::get('revisions/{revision}/preflight', PreflightController::class);

Route::get('exports/{export}', [ExportController::class, 'show']);
Route::delete('exports/{export}', [ExportController::class, 'cancel']);
Route::get('exports/{export}/file', [ExportController::class, 'file']);

Route::get('assets', [AssetController::class, 'index']);
Route::post('assets', [AssetController::class, 'store']);
Route::get('assets/{asset}/preview.png', AssetPreviewController::class);
Route::put('assets/{asset}/favourite', [AssetController::class, 'favour']);
Route::post('assets/{asset}/trace', [AssetController::class, 'trace']);
Route::get('assets/{asset}/palette', [AssetController::class, 'palette']);

Route::get('areas', [AreaController::class, 'index']);
Route::post('areas', [AreaController::class, 'store']);
Route::delete('areas/{area}', [AreaController::class, 'destroy']);
