<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Bench\Briefs;
use App\Bench\Provenance;
use App\Bench\Shelving;
use App\Models\HouseRecord;
use App\Models\Role;
use App\Models\Shop;
use App\People\Accounts;
use Demo\DemoAssets;
use Demo\DemoLicences;
use Demo\DemoYear;
use Illuminate\Database\Seeder;
use TallCrow\Artwork\ArtworkReader;
use TallCrow\Artwork\Recipe;
use TallCrow\House\House;
use TallCrow\Measure\PrintArea;

/** The demo shop. Run again it changes nothing. */
final class DatabaseSeeder extends Seeder
{
    public function run(Briefs $briefs, Shelving $shelving, Accounts $accounts, DemoLicences $licences): void
    {
        if (Shop::query()->exists()) {
            return;
        }
        $shop = Shop::query()->create(['name' => 'Lantern & Rook']);
        // Without a password: the start's link alone opens the door, on this machine.
        $accounts->add($shop, Role::Owner, 'Keeper of Lantern & Rook', 'keeper', null);
        $folder = base_path('demo/shelf');
        $assets = DemoAssets::gather($folder);
        foreach ($assets as $asset) {
            $shelving->put($shop, $folder.'/'.$asset['file'], $asset['file'], new Provenance(
                $asset['licence']['name'], $asset['licence']['author'], $asset['licence']['url'], $asset['genre'], $asset['title'],
            ));
        }
        foreach (glob(base_path('demo/artworks/*.json')) ?: [] as $file) {
            $artwork = ArtworkReader::json((string) file_get_contents($file));
            $briefs->start($shop, PrintArea::like($artwork->sheet->area()), $artwork);
        }
        foreach (glob(base_path('demo/recipes/*.json')) ?: [] as $file) {
            $recipe = Recipe::json((string) file_get_contents($file));
            $shop->recipes()->create(['name' => $recipe->name, 'body' => json_encode($recipe->toArray(), JSON_THROW_ON_ERROR)]);
        }
        $licences->record($shop, array_filter(array_column($assets, 'text', 'file')));
        $houses = [];
        foreach (glob(base_path('demo/houses/*.json')) ?: [] as $file) {
            $house = House::json((string) file_get_contents($file));
            $houses[basename($file, '.json')] = $shop->houses()->create(['name' => $house->name, 'body' => HouseRecord::bodyOf($house), 'service' => 'trial', 'account' => basename($file, '.json')])->id;
        }
        $shop->jobs()->where('title', 'Quarry Road kite day')->first()?->update(['destinations' => [
            ['house' => $houses['bramble-market'], 'place' => 'basic tee/front', 'mode' => 'contain'], ['house' => $houses['mill-lane-print'], 'place' => 'heavy tee/front', 'mode' => 'ink'],
            ['house' => $houses['mill-lane-print'], 'place' => 'heavy tee/left chest', 'mode' => 'contain'], ['house' => $houses['halyard-transfers'], 'place' => 'film a4/sheet', 'mode' => 'inches'],
        ]]);
        $shop->areas()->create(['name' => 'Quarry Road Press, hoodie back', 'width' => 4200, 'height' => 4800, 'ppi' => 300]);
        DemoYear::lay($shop);
    }
}
