<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Shop;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // The one place that says whose shop this is: with sign-in, it is the signed-in seller's.
        $this->app->scoped(Shop::class, fn (): Shop => Shop::query()->firstOrFail());
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
        JsonResource::withoutWrapping();
    }
}
