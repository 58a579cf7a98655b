<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use TallCrow\House\House;

/**
 * A print house of a shop.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 * @property string $body  in the form tallcrow.house
 * @property string $service  that takes its files; empty if files are delivered by hand
 * @property string $account  of the seller at that service
 * @property ?string $token  of the seller at that service, encrypted in the database
 */
#[ScopedBy(ShopScope::class)]
final class HouseRecord extends Model
{
    protected $table = 'houses';

    protected $fillable = ['name', 'body', 'service', 'account', 'token'];

    protected $casts = ['token' => 'encrypted'];

    protected $hidden = ['token'];

    protected $attributes = ['service' => '', 'account' => ''];

    public function house(): House
    {
        return House::json($this->body);
    }

    public static function bodyOf(House $house): string
    {
        return json_encode($house->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);
    }
}
