<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AreaController;
use App\Http\Controllers\ArtworkController;
use App\Http\Controllers\AssetController;
use App\Http\Controllers\AssetPreviewController;
use App\Http\Controllers\BriefController;
use App\Http\Controllers\CalendarController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\CollectionController;
use App\Http\Controllers\CommentController;
use App\Http\Controllers\ExportController;
use App\Http\Controllers\FontController;
use App\Http\Controllers\GangController;
use App\Http\Controllers\HouseController;
use App\Http\Controllers\IdeaController;
use App\Http\Controllers\JobController;
use App\Http\Controllers\JobFileController;
use App\Http\Controllers\LengthController;
use App\Http\Controllers\LicenceController;
use App\Http\Controllers\ListingController;
use App\Http\Controllers\ListingTextController;
use App\Http\Controllers\LogController;
use App\Http\Controllers\OperationController;
use App\Http\Controllers\ParcelController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\PreflightController;
use App\Http\Controllers\ProofController;
use App\Http\Controllers\RecipeController;
use App\Http\Controllers\ResultController;
use App\Http\Controllers\RightsController;
use App\Http\Controllers\SeriesController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\SwatchController;
use App\Http\Controllers\VersionController;
use App\Http\Controllers\WordController;
use App\Http\Middleware\UnchangedPicture;
use Illuminate\Support\Facades\Route;

// Every route here is for people who are signed in, and sees their own shop's rows alone; bootstrap/app.php and
// App\Http\Middleware\Permitted say how. A name that begins with `owner.` is for owners, `anyone.` also for viewers.

Route::get('catalogue', CatalogueController::class)->name('catalogue');
Route::get('lengths', LengthController::class)->name('lengths');

Route::get('jobs', [JobController::class, 'index'])->name('jobs.list');
Route::post('jobs', [JobController::class, 'store'])->name('jobs.start');
Route::post('jobs/open', [JobFileController::class, 'open'])->name('jobs.open-file')->middleware('throttle:uploads');
Route::get('jobs/{job}', [JobController::class, 'show'])->name('jobs.show');
Route::get('jobs/{job}/file', [JobFileController::class, 'download'])->name('jobs.file');
Route::post('jobs/{job}/copy', [JobController::class, 'copy'])->name('jobs.copy');
Route::delete('jobs/{job}', [JobController::class, 'destroy'])->name('jobs.throw-away');
Route::put('jobs/{job}/brief', BriefController::class)->name('jobs.change-brief');
Route::put('jobs/{job}/artwork', [ArtworkController::class, 'save'])->name('sheet.save');
Route::post('jobs/{job}/undo', [ArtworkController::class, 'undo'])->name('sheet.step-back');
Route::post('jobs/{job}/redo', [ArtworkController::class, 'redo'])->name('sheet.step-forward');
Route::post('jobs/{job}/operations', OperationController::class)->name('sheet.change');
Route::get('jobs/{job}/swatches.gpl', [SwatchController::class, 'download'])->name('swatches.file');
Route::post('jobs/{job}/swatches', [SwatchController::class, 'upload'])->name('swatches.upload')->middleware('throttle:uploads');
Route::get('scenes', [ListingController::class, 'scenes'])->name('scenes.list');
Route::get('jobs/{job}/listing', [ListingTextController::class, 'show'])->name('listing.show');
Route::put('jobs/{job}/listing', [ListingTextController::class, 'update'])->name('listing.write');
Route::get('jobs/{job}/listing.{kind}', [ListingTextController::class, 'file'])->name('listing.file')->whereIn('kind', ['csv', 'json']);
Route::get('jobs/{job}/exports', [ExportController::class, 'index'])->name('exports.list');
Route::post('jobs/{job}/exports', [ExportController::class, 'store'])->name('exports.begin')->middleware('throttle:exports');

Route::middleware(['throttle:drawings', UnchangedPicture::class])->group(function (): void {
    Route::get('revisions/{revision}/proof.png', [ProofController::class, 'sheet']);
    Route::get('revisions/{revision}/layers/{layer}.png', [ProofController::class, 'layer']);
    Route::get('revisions/{revision}/layers/{layer}/before/{line}.png', [ProofController::class, 'before'])->whereNumber('line');
    Route::get('revisions/{revision}/taken.png', [ProofController::class, 'taken']);
    Route::get('assets/{asset}/preview.png', AssetPreviewController::class);
    Route::get('recipes/{recipe}/picture.png', [RecipeController::class, 'picture'])->name('recipes.picture');
});
Route::middleware(['throttle:drawings', UnchangedPicture::class.':'.UnchangedPicture::WHOLE])->group(function (): void {
    Route::get('revisions/{revision}/mended.png', [PreflightController::class, 'mended']);
    Route::get('revisions/{revision}/layers/{layer}/tried.png', [PreflightController::class, 'tried']);
    Route::get('revisions/{revision}/pressed.png', [PreflightController::class, 'pressed']);
    Route::get('revisions/{revision}/listing.jpg', [ListingController::class, 'picture']);
    Route::get('series-rows/{row}/proof.png', [SeriesController::class, 'proof'])->name('series.proof');
});

Route::middleware('throttle:drawings')->group(function (): void {
    Route::get('revisions/{revision}/steps', [ProofController::class, 'steps']);
    Route::get('revisions/{revision}/layers/{layer}/buckets/{line}', [ProofController::class, 'buckets'])->whereNumber('line');
    Route::get('revisions/{revision}/layers/{layer}/pockets/{line}', [ProofController::class, 'pockets'])->whereNumber('line');
    Route::post('revisions/{revision}/layers/{layer}/scribbled/{line}.png', [ProofController::class, 'scribbled'])->whereNumber('line');
    Route::get('revisions/{revision}/layers/{layer}/fonts', [FontController::class, 'index']);
    Route::get('revisions/{revision}/layers/{layer}/forms', [FontController::class, 'forms']);
    Route::get('revisions/{revision}/pick', [ProofController::class, 'pick']);
    Route::get('revisions/{revision}/colour', [ProofController::class, 'colour']);
    Route::get('revisions/{revision}/preflight', PreflightController::class);
    Route::get('revisions/{revision}/report.html', [PreflightController::class, 'page']);
    Route::get('revisions/{revision}/report.pdf', [PreflightController::class, 'paper']);
    Route::get('revisions/{revision}/rights', [RightsController::class, 'show']);
    Route::get('revisions/{revision}/licences.{kind}', [RightsController::class, 'paper'])->whereIn('kind', ['pdf', 'csv', 'html']);
    Route::get('revisions/{revision}/evidence.zip', [RightsController::class, 'evidence']);
    Route::get('revisions/{revision}/fits', [HouseController::class, 'fits']);
    Route::get('revisions/{revision}/fits.png', [HouseController::class, 'fitPicture']);
    Route::post('revisions/{revision}/photo.jpg', [ListingController::class, 'photo'])->name('anyone.listing.photo');
    Route::get('revisions/{revision}/listing.zip', [ListingController::class, 'all']);
    Route::get('assets/{asset}/palette', [AssetController::class, 'palette']);
    Route::get('assets/{asset}/characters', [FontController::class, 'characters']);
});

Route::get('exports/{export}', [ExportController::class, 'show'])->name('exports.show');
Route::delete('exports/{export}', [ExportController::class, 'cancel'])->name('exports.cancel');
Route::get('exports/{export}/file', [ExportController::class, 'file'])->name('exports.file');

Route::get('assets', [AssetController::class, 'index'])->name('shelf.list');
Route::post('assets', [AssetController::class, 'store'])->name('shelf.upload')->middleware('throttle:uploads');
Route::get('shelf', [ShelfController::class, 'index'])->name('shelf.search');
Route::put('shelf/tags', [ShelfController::class, 'tag'])->name('shelf.tag');
Route::put('shelf/licence', [ShelfController::class, 'hold'])->name('shelf.put-under');
Route::get('shelf/twins', [ShelfController::class, 'twins'])->name('shelf.twins');
Route::post('shelf/collections', [CollectionController::class, 'lay'])->name('collections.lay');
Route::put('shelf/collections/{collection}', [CollectionController::class, 'rename'])->name('collections.rename');
Route::post('shelf/collections/{collection}/out', [CollectionController::class, 'takeOut'])->name('collections.take-out');
Route::delete('shelf/collections/{collection}', [CollectionController::class, 'destroy'])->name('collections.drop');
Route::get('shelf/file', [ShelfController::class, 'download'])->name('shelf.file')->middleware('throttle:exports');
Route::post('shelf/file', [ShelfController::class, 'open'])->name('shelf.open-file')->middleware('throttle:uploads');
Route::get('assets/{asset}', [ShelfController::class, 'show'])->name('shelf.show');
Route::put('assets/{asset}', [ShelfController::class, 'update'])->name('shelf.change');
Route::delete('assets/{asset}', [ShelfController::class, 'bin'])->name('shelf.bin');
Route::post('assets/{asset}/back', [ShelfController::class, 'takeBack'])->name('shelf.take-back');
Route::post('assets/{asset}/replace', [ShelfController::class, 'replace'])->name('shelf.replace')->middleware('throttle:uploads');
Route::put('assets/{asset}/favourite', [AssetController::class, 'favour'])->name('shelf.favour');
Route::post('assets/{asset}/trace', [AssetController::class, 'trace'])->name('shelf.trace')->middleware('throttle:drawings');

Route::get('licences', [LicenceController::class, 'index'])->name('licences.list');
Route::get('licences/interview', [LicenceController::class, 'interview'])->name('licences.interview');
Route::get('licences/sheet.{kind}', [RightsController::class, 'shopPaper'])->name('licences.sheet')->whereIn('kind', ['pdf', 'csv', 'html'])->middleware('throttle:drawings');
Route::post('licences', [LicenceController::class, 'store'])->name('licences.add');
Route::put('licences/{licence}', [LicenceController::class, 'update'])->name('licences.change');
Route::delete('licences/{licence}', [LicenceController::class, 'destroy'])->name('licences.take-out');
Route::post('licences/{licence}/proofs', [LicenceController::class, 'prove'])->name('licences.prove')->middleware('throttle:uploads');
Route::get('proofs/{proof}/file', [LicenceController::class, 'proof'])->name('proofs.file');
Route::get('proofs/{proof}/text', [LicenceController::class, 'read'])->name('proofs.text');

Route::get('usage', [RightsController::class, 'usage'])->name('usage.show');
Route::put('usage', [RightsController::class, 'setUsage'])->name('usage.change');
Route::put('jobs/{job}/usage', [RightsController::class, 'setJobUsage'])->name('jobs.change-usage');
Route::get('sales', [RightsController::class, 'sales'])->name('sales.list');
Route::post('sales/report', [RightsController::class, 'readSales'])->name('sales.read')->middleware('throttle:uploads');
Route::post('jobs/{job}/sales', [RightsController::class, 'sold'])->name('sales.enter');
Route::get('watched', [RightsController::class, 'watched'])->name('watched.list');
Route::post('watched', [RightsController::class, 'watch'])->name('watched.add');
Route::delete('watched/{watched}', [RightsController::class, 'unwatch'])->name('watched.take-out');

Route::get('houses', [HouseController::class, 'index'])->name('houses.list');
Route::post('houses', [HouseController::class, 'store'])->name('houses.add');
Route::put('houses/{house}', [HouseController::class, 'update'])->name('houses.change');
Route::delete('houses/{house}', [HouseController::class, 'destroy'])->name('houses.take-out');
Route::get('houses/{house}/file.json', [HouseController::class, 'file'])->name('houses.file');
Route::get('houses/{house}/areas.csv', [HouseController::class, 'areas'])->name('houses.areas');
Route::post('houses/{house}/areas', [HouseController::class, 'readAreas'])->name('houses.read-areas')->middleware('throttle:uploads');
Route::get('house-services', [ParcelController::class, 'services'])->name('houses.services');
Route::put('houses/{house}/service', [ParcelController::class, 'connect'])->name('houses.connect');
Route::put('jobs/{job}/destinations', [HouseController::class, 'destine'])->name('jobs.destine');
Route::post('jobs/{job}/send', [HouseController::class, 'send'])->name('sends.begin')->middleware('throttle:exports');
Route::post('jobs/{job}/send/{batch}/again', [HouseController::class, 'again'])->name('sends.again')->middleware('throttle:exports');
Route::get('jobs/{job}/sends', [HouseController::class, 'batches'])->name('sends.list');
Route::post('jobs/{job}/send/{batch}/pause', [HouseController::class, 'pause'])->name('sends.pause');
Route::post('jobs/{job}/send/{batch}/resume', [HouseController::class, 'resume'])->name('sends.resume');
Route::post('jobs/{job}/send/{batch}/bring', [ParcelController::class, 'bring'])->name('parcels.bring')->middleware('throttle:exports');
Route::get('jobs/{job}/parcels', [ParcelController::class, 'index'])->name('parcels.list');
Route::get('jobs/{job}/send/{batch}/files.zip', [HouseController::class, 'zip'])->name('sends.files');

Route::get('jobs/{job}/series', [SeriesController::class, 'show'])->name('series.show');
Route::put('jobs/{job}/series', [SeriesController::class, 'set'])->name('series.set');
Route::delete('jobs/{job}/series', [SeriesController::class, 'destroy'])->name('series.drop');
Route::get('jobs/{job}/series/places', [SeriesController::class, 'places'])->name('series.places');
Route::get('jobs/{job}/series/rows', [SeriesController::class, 'rows'])->name('series.rows');
Route::post('jobs/{job}/series/rows', [SeriesController::class, 'read'])->name('series.read')->middleware('throttle:uploads');
Route::post('jobs/{job}/series/made', [SeriesController::class, 'make'])->name('series.make')->middleware('throttle:uploads');
Route::post('jobs/{job}/series/send', [SeriesController::class, 'send'])->name('series.send')->middleware('throttle:exports');
Route::get('jobs/{job}/series/listing.csv', [SeriesController::class, 'words'])->name('series.words');
Route::put('series-rows/{row}', [SeriesController::class, 'change'])->name('series.change-row');
Route::delete('series-rows/{row}', [SeriesController::class, 'drop'])->name('series.drop-row');

Route::get('gangs', [GangController::class, 'index'])->name('gangs.list');
Route::post('gangs/layout', [GangController::class, 'layout'])->name('gangs.layout')->middleware('throttle:drawings');
Route::post('gangs', [GangController::class, 'store'])->name('gangs.lay')->middleware('throttle:exports');
Route::post('gangs/{gang}/cancel', [GangController::class, 'cancel'])->name('gangs.cancel');
Route::delete('gangs/{gang}', [GangController::class, 'destroy'])->name('gangs.take-out');
Route::get('gangs/{gang}/card.pdf', [GangController::class, 'card'])->name('gangs.card')->middleware('throttle:drawings');
Route::get('gangs/{gang}/{sheet}', [GangController::class, 'file'])->name('gangs.file');

Route::get('log', [LogController::class, 'index'])->name('log.list');
Route::post('jobs/{job}/noted', [LogController::class, 'note'])->name('log.note');
Route::get('log.csv', [LogController::class, 'table'])->name('log.table');
Route::post('log/find', [LogController::class, 'find'])->name('anyone.log.find')->middleware('throttle:uploads');

Route::get('calendar', [CalendarController::class, 'show'])->name('calendar.show');
Route::get('today', [CalendarController::class, 'today'])->name('calendar.today');
Route::post('calendar/events', [CalendarController::class, 'add'])->name('calendar.add');
Route::delete('calendar/events/{event}', [CalendarController::class, 'drop'])->name('calendar.drop');
Route::post('calendar/file', [CalendarController::class, 'import'])->name('calendar.import')->middleware('throttle:uploads');
Route::get('calendar/file.ics', [CalendarController::class, 'file'])->name('calendar.file');
Route::put('calendar/settings', [CalendarController::class, 'set'])->name('calendar.set');
Route::put('calendar/feed', [CalendarController::class, 'secret'])->name('calendar.feed');
Route::post('plan', [CalendarController::class, 'plan'])->name('plan.add');
Route::put('plan/{work}', [CalendarController::class, 'replan'])->name('plan.change');
Route::delete('plan/{work}', [CalendarController::class, 'unplan'])->name('plan.drop');
Route::get('results', ResultController::class)->name('results.show');
Route::get('ideas', [IdeaController::class, 'index'])->name('ideas.list');
Route::post('ideas', [IdeaController::class, 'add'])->name('ideas.add');
Route::put('ideas/{idea}', [IdeaController::class, 'change'])->name('ideas.change');
Route::delete('ideas/{idea}', [IdeaController::class, 'drop'])->name('ideas.drop');
Route::post('ideas/{idea}/job', [IdeaController::class, 'promote'])->name('ideas.promote');

Route::get('areas', [AreaController::class, 'index'])->name('areas.list');
Route::post('areas', [AreaController::class, 'store'])->name('areas.add');
Route::delete('areas/{area}', [AreaController::class, 'destroy'])->name('areas.take-out');

Route::get('recipes', [RecipeController::class, 'index'])->name('recipes.list');
Route::post('recipes', [RecipeController::class, 'store'])->name('recipes.keep')->middleware('throttle:uploads');
Route::get('recipes/{recipe}/file', [RecipeController::class, 'file'])->name('recipes.file');
Route::delete('recipes/{recipe}', [RecipeController::class, 'destroy'])->name('recipes.take-out');

Route::get('words', [WordController::class, 'index'])->name('words.list');
Route::post('words', [WordController::class, 'store'])->name('words.add');
Route::delete('words/{word}', [WordController::class, 'destroy'])->name('words.take-out');

Route::get('jobs/{job}/versions', [VersionController::class, 'index'])->name('versions.list');
Route::post('jobs/{job}/versions/{revision}', [VersionController::class, 'restore'])->name('versions.go-back-to');
Route::post('jobs/{job}/versions/{revision}/copy', [VersionController::class, 'copy'])->name('versions.start-from');

Route::get('jobs/{job}/comments', [CommentController::class, 'index'])->name('comments.list');
Route::post('jobs/{job}/comments', [CommentController::class, 'store'])->name('anyone.comments.add');

Route::get('me', [AccountController::class, 'show'])->name('account.show');
Route::put('me/password', [AccountController::class, 'password'])->name('account.password.change')->middleware('throttle:doors');
Route::post('me/codes', [AccountController::class, 'prepareCodes'])->name('account.codes.prepare')->middleware('throttle:doors');
Route::put('me/codes', [AccountController::class, 'startCodes'])->name('account.codes.switch-on')->middleware('throttle:doors');
Route::delete('me/codes', [AccountController::class, 'stopCodes'])->name('account.codes.switch-off')->middleware('throttle:doors');
Route::post('me/sign-out-everywhere', [AccountController::class, 'signOutEverywhere'])->name('account.sign-out-everywhere');
Route::get('me/tokens', [AccountController::class, 'tokens'])->name('account.tokens.list');
Route::post('me/tokens', [AccountController::class, 'makeToken'])->name('account.tokens.make');
Route::delete('me/tokens/{token}', [AccountController::class, 'dropToken'])->name('account.tokens.take-back')->whereNumber('token');

Route::get('people', [PeopleController::class, 'index'])->name('owner.people.list');
Route::post('people/invitations', [PeopleController::class, 'invite'])->name('owner.people.invite');
Route::put('people/{person}', [PeopleController::class, 'update'])->name('owner.people.change-role');
Route::post('people/{person}/reset', [PeopleController::class, 'reset'])->name('owner.people.give-reset-code');
Route::delete('people/{person}', [PeopleController::class, 'destroy'])->name('owner.people.take-out');
Route::get('journal', [PeopleController::class, 'journal'])->name('owner.journal');
