<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\SaveKey;
use App\Database\WriteLockedSqlite;
use App\Models\Asset;
use App\Models\CalendarEvent;
use App\Models\Collection;
use App\Models\Comment;
use App\Models\Export;
use App\Models\Gang;
use App\Models\HouseRecord;
use App\Models\Idea;
use App\Models\KeptRecipe;
use App\Models\LicenceRecord;
use App\Models\Listing;
use App\Models\LogEntry;
use App\Models\Parcel;
use App\Models\PlannedWork;
use App\Models\PrintJob;
use App\Models\Proof;
use App\Models\Revision;
use App\Models\Sale;
use App\Models\SellersArea;
use App\Models\Series;
use App\Models\SeriesRow;
use App\Models\Shop;
use App\Models\ShopWord;
use App\Models\User;
use App\Models\WatchedPhrase;
use App\Policies\ShopOwnedPolicy;
use App\Tenancy\CurrentShop;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** Models that belong to a shop. */
    private const OWNED = [PrintJob::class, Revision::class, Export::class, Asset::class, SellersArea::class, ShopWord::class, KeptRecipe::class, Comment::class, User::class, Gang::class, LogEntry::class, HouseRecord::class, LicenceRecord::class, Proof::class, Sale::class, WatchedPhrase::class, Collection::class, Listing::class, Parcel::class, Series::class, SeriesRow::class, CalendarEvent::class, PlannedWork::class, Idea::class];

    /** Rate limits: requests per minute of one person, or of one address if nobody is signed in. A page of jobs requests about a hundred pictures. */
    private const LIMITS = ['doors' => 30, 'uploads' => 120, 'exports' => 60, 'drawings' => 1500];

    public function register(): void
    {
        Connection::resolverFor('sqlite', fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): Connection => new WriteLockedSqlite($pdo, $database, $prefix, $config));
        $this->app->scoped(CurrentShop::class, fn (): CurrentShop => $this->app->runningInConsole() ? CurrentShop::ofConsole() : CurrentShop::ofRequest());
        $this->app->scoped(SaveKey::class);
        $this->app->bind(Shop::class, fn (): Shop => $this->app->make(CurrentShop::class)->shop() ?? throw new AuthenticationException);
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        JsonResource::withoutWrapping();
        foreach (self::OWNED as $class) {
            Gate::policy($class, ShopOwnedPolicy::class);
        }
        foreach (self::LIMITS as $name => $limit) {
            RateLimiter::for($name, fn (Request $request): Limit => Limit::perMinute($limit)->by("$name:".($request->user()->id ?? $request->ip())));
        }
    }
}
