<?php

declare(strict_types=1);

use App\Files\ShopFiles;
use App\Models\Asset;
use App\Models\AssetKind;
use App\Models\Shop;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;
use TallCrow\Type\Axis;
use TallCrow\Type\Font;
use TallCrow\Type\FontRefused;

return new class extends Migration {
    public function up(): void
    {
        Schema::table('assets', fn (Blueprint $table) => $table->json('varies')->default('[]'));
        foreach (Shop::query()->get() as $shop) {
            foreach (Asset::withoutGlobalScopes()->where('shop_id', $shop->id)->where('kind', AssetKind::Font)->get() as $font) {
                $this->look($shop, $font);
            }
        }
    }

    public function down(): void
    {
        Schema::table('assets', fn (Blueprint $table) => $table->dropColumn('varies'));
    }

    /** A file that is lost or broken varies in nothing. */
    private function look(Shop $shop, Asset $asset): void
    {
        $path = ShopFiles::of($shop)->assetPath($asset);
        try {
            $axes = is_file($path) ? Font::fromBytes((string) file_get_contents($path))->axes() : [];
        } catch (FontRefused) {
            $axes = [];
        }
        if ($axes !== []) {
            $asset->update(['varies' => array_map(fn (Axis $axis): string => $axis->name, $axes)]);
        }
    }
};
