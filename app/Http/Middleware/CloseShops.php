<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Tenancy\CurrentShop;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A request begins with no shop's rows in sight, also where the process saw all of them before. */
final readonly class CloseShops
{
    public function __construct(private CurrentShop $current) {}

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $wasOpen = $this->current->isOpen();
        $this->current->close();
        try {
            return $next($request);
        } finally {
            $wasOpen ? $this->current->open() : $this->current->close();
        }
    }
}
