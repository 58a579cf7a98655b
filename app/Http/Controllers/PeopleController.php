<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\Deed;
use App\Http\Answers\Person;
use App\Http\Answers\Secret;
use App\Http\Requests\Invitation;
use App\Models\JournalEntry;
use App\Models\PassKind;
use App\Models\Shop;
use App\Models\User;
use App\People\Accounts;
use App\People\Passes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The owner's page: the members of the shop, their roles, and the journal. */
final readonly class PeopleController
{
    private const PAGE = 200;

    public function __construct(
        private Accounts $accounts,
        private Passes $passes,
    ) {}

    /** @return array<int, Person> */
    public function index(Shop $shop): array
    {
        return $shop->users()->orderBy('name')->get()->map(Person::of(...))->all();
    }

    public function invite(Invitation $request, Shop $shop): JsonResponse
    {
        return $this->secret('/join/'.$this->passes->make($shop, PassKind::Invitation, role: $request->role()), PassKind::Invitation);
    }

    public function update(Invitation $request, User $person): Person
    {
        $this->accounts->changeRole($person, $request->role());

        return Person::of($person);
    }

    /** Creates a code with which a person can set a new password; the owner passes it on. */
    public function reset(User $person, Shop $shop): JsonResponse
    {
        return $this->secret('/reset/'.$this->passes->make($shop, PassKind::Reset, $person), PassKind::Reset);
    }

    public function destroy(User $person): Response
    {
        $this->accounts->remove($person);

        return response()->noContent();
    }

    /** @return array<int, Deed> the newest first, before the one of that number */
    public function journal(Request $request, Shop $shop): array
    {
        return JournalEntry::query()->with('causer')->where('shop_id', $shop->id)
            ->when($request->integer('before') > 0, fn ($query) => $query->where('id', '<', $request->integer('before')))
            ->orderByDesc('id')->limit(self::PAGE)->get()->map(Deed::of(...))->values()->all();
    }

    private function secret(string $path, PassKind $kind): JsonResponse
    {
        return (new Secret($path, now()->addMinutes($kind->minutes())->toIso8601String()))->created();
    }
}
