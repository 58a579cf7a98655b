<?php

declare(strict_types=1);

namespace App\Http;

use App\Bench\StaleVersion;
use App\Files\FileNotKept;
use App\People\SignInRefused;
use App\Rights\LicenceWanted;
use App\Rights\ProofRefused;
use App\Rights\SalesRefused;
use App\Shelf\AssetNeeded;
use App\Shelf\ShelfFileRefused;
use App\Upkeep\NoRoom;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Session\TokenMismatchException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use TallCrow\Artwork\ArtworkInvalid;
use TallCrow\Artwork\Fault;
use TallCrow\Asset\AssetUnusable;
use TallCrow\Asset\PictureRefused;
use TallCrow\Colour\PaletteRefused;
use TallCrow\Compose\ArrangeRefused;
use TallCrow\Edit\EditRefused;
use TallCrow\Gang\GangRefused;
use TallCrow\Measure\UnreadableLength;
use TallCrow\Measure\UnusableMeasure;
use TallCrow\Pack\JobPackRefused;
use TallCrow\Render\LayerTrouble;
use TallCrow\Rights\LicenceRefused;
use TallCrow\Type\FontRefused;
use TallCrow\Type\MissingGlyphs;

/** What the core says is wrong, as answers that say what, where and what to do. */
final class Problems
{
    /** @var list<class-string<\Throwable>> */
    private const SAID = [
        AssetUnusable::class, PictureRefused::class, FontRefused::class, MissingGlyphs::class,
        JobPackRefused::class, UnreadableLength::class, UnusableMeasure::class, ArrangeRefused::class, EditRefused::class, PaletteRefused::class, LayerTrouble::class, ProofRefused::class, SalesRefused::class, ShelfFileRefused::class, GangRefused::class,
    ];

    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([ArtworkInvalid::class, LicenceRefused::class, LicenceWanted::class, AssetNeeded::class, StaleVersion::class, SignInRefused::class, ...self::SAID]);
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(fn (ArtworkInvalid $e): JsonResponse => response()->json([
            'message' => 'Nothing was saved. '.$e->getMessage(),
            'faults' => array_map(fn (Fault $f): array => ['path' => $f->path, 'reason' => $f->reason], $e->faults),
        ], 422));
        $exceptions->render(fn (SignInRefused $e): JsonResponse => response()->json(
            ['message' => $e->getMessage(), 'code' => $e->codeWanted], $e->status, $e->wait > 0 ? ['Retry-After' => (string) $e->wait] : [],
        ));
        $exceptions->render(fn (AuthenticationException $e, Request $request): ?JsonResponse => $request->is('api/*') ? response()->json(['message' => 'Sign in first.'], 401) : null);
        $exceptions->render(fn (NotFoundHttpException $e, Request $request): ?JsonResponse => $request->is('api/*') && ($e->getPrevious() instanceof ModelNotFoundException || $e->getMessage() === '' || $e->getPrevious() instanceof AuthorizationException)
            ? response()->json(['message' => 'There is no such thing in this shop.'], 404)
            : null);
        $exceptions->render(fn (TokenMismatchException $e): JsonResponse => response()->json(['message' => 'This change did not come from a page of this shop, or the page is too old. Load it again.'], 419));
        $exceptions->render(fn (LicenceWanted $e): JsonResponse => response()->json(['message' => $e->getMessage(), 'errors' => ['licence' => [$e->getMessage()]]], 422));
        $exceptions->render(fn (LicenceRefused $e): JsonResponse => response()->json(['message' => $e->getMessage(), 'errors' => [$e->field => [$e->getMessage()]]], 422));
        $exceptions->render(fn (NoRoom $e): JsonResponse => response()->json(['message' => $e->getMessage()], 507));
        $exceptions->render(fn (FileNotKept $e): JsonResponse => response()->json(['message' => $e->getMessage()], 503));
        $exceptions->render(fn (AssetNeeded $e): JsonResponse => response()->json(['message' => $e->getMessage()], 409));
        $exceptions->render(fn (StaleVersion $e): JsonResponse => response()->json(['message' => $e->getMessage(), 'version' => $e->current], 409));
        $exceptions->render(fn (\Throwable $e): ?JsonResponse => in_array($e::class, self::SAID, true)
            ? response()->json(['message' => $e->getMessage()], 422)
            : null);
    }
}
