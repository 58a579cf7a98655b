<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\User;
use Illuminate\Auth\Access\Response;
use Illuminate\Database\Eloquent\Model;

/** Models of a shop can be read and changed only by its own people; for others they do not exist (404). */
final class ShopOwnedPolicy
{
    public function view(User $user, Model $model): Response
    {
        return $this->owns($user, $model);
    }

    public function change(User $user, Model $model): Response
    {
        return $this->owns($user, $model);
    }

    private function owns(User $user, Model $model): Response
    {
        $shop = $model->getAttribute('shop_id');

        return is_numeric($shop) && (int) $shop === $user->shop_id ? Response::allow() : Response::denyAsNotFound();
    }
}
