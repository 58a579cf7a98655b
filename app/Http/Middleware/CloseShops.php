<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Tenancy\CurrentShop;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Makes sure that a request starts without access to any shop's rows, even if the process had access before. */
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
