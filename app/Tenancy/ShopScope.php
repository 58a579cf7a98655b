<?php

declare(strict_types=1);

namespace App\Tenancy;

use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Scope;

/** Restricts every query to the current shop; without one, queries find nothing. */
final class ShopScope implements Scope
{
    /** @param  Builder<Model>  $builder */
    public function apply(Builder $builder, Model $model): void
    {
        $current = app(CurrentShop::class);
        if (! $current->isOpen()) {
            $builder->where($model->qualifyColumn('shop_id'), $current->shop()->id ?? 0);
        }
    }
}
