<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use TallCrow\Measure\Ppi;
use TallCrow\Measure\PrintArea;

/**
 * A print area from the seller's own list.
 *
 * @property int $id
 * @property int $shop_id
 * @property string $name
 * @property int $width
 * @property int $height
 * @property float $ppi
 */
#[ScopedBy(ShopScope::class)]
final class SellersArea extends Model
{
    protected $table = 'print_areas';

    protected $fillable = ['name', 'width', 'height', 'ppi'];

    protected $casts = ['width' => 'integer', 'height' => 'integer', 'ppi' => 'float'];

    public function area(): PrintArea
    {
        return PrintArea::pixels($this->name, $this->width, $this->height, Ppi::of($this->ppi));
    }
}
