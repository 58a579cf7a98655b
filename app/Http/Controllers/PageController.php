<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\Me;
use App\Models\User;
use App\People\Sessions;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** The application's only page. It includes the signed-in user, so that the browser need not request it before showing anything. */
final readonly class PageController
{
    public function __construct(private Sessions $sessions) {}

    public function __invoke(Request $request): View
    {
        $user = Auth::guard('web')->user();

        return view('bench', ['me' => $user instanceof User && $this->sessions->isCurrent($request, $user) ? Me::of($user->load('shop')) : null]);
    }
}
