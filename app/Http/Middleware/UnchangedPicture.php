<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Asset;
use App\Tenancy\CurrentShop;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use TallCrow\Render\DrawingCode;

/**
 * Lets a browser keep the picture of a row that never changes, such as a revision, and answers without drawing that its copy is still right (304). The
 * validator takes in the core's code, when the row was made, and what came to the shelf last: after an upgrade, when other data is laid out whose rows bear the
 * same numbers, or when a file is there that was missed, the picture is drawn anew.
 */
final readonly class UnchangedPicture
{
    public const WHOLE = 'whole';

    /** Seconds in which a browser does not ask: fewer than a restart takes, and enough that a picture which was loaded ahead is not asked for again. */
    private const UNASKED = 10;

    public function __construct(private CurrentShop $current) {}

    /**
     * @param  Closure(Request): Response  $next
     * @param  string  $code  WHOLE when more than drawing makes the picture, such as operations or a press
     */
    public function handle(Request $request, Closure $next, string $code = ''): Response
    {
        $validator = $this->validator($request, $code === self::WHOLE ? DrawingCode::ALL : DrawingCode::FOLDERS);
        $isKept = in_array($validator, $request->getETags(), true);
        $response = $isKept ? new Response(status: 304) : $next($request);
        if ($isKept || $response->isSuccessful() && str_starts_with((string) $response->headers->get('Content-Type'), 'image/')) {
            $response->headers->set('ETag', $validator);
            $response->headers->set('Cache-Control', 'private, max-age='.self::UNASKED);
        }

        return $response;
    }

    /** @param  list<string>  $parts  of the core whose code counts */
    private function validator(Request $request, array $parts): string
    {
        $rows = array_filter($request->route()?->parameters() ?? [], fn (mixed $parameter): bool => $parameter instanceof Model);
        $shop = $this->current->shop() ?? abort(401);
        $told = array_map(fn (Model $row): array => [$row->getTable(), $row->getKey(), $row->getRawOriginal('created_at')], array_values($rows));

        return '"'.substr(hash('xxh128', DrawingCode::fingerprint($shop->folder('pictures'), parts: $parts).serialize([$told, Asset::query()->max('id')])), 0, 24).'"';
    }
}
