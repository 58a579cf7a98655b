<?php

declare(strict_types=1);

/**
 * A shelf of 10,000 pieces on a server of its own: the first screen of it, searches, and one piece. The reference is SQLite itself
 * looking through all titles for a part of a word.
 */
function shelved(string $folder, int $runs): void
{
    [$base, $server] = serve($folder);
    $database = new PDO("sqlite:$folder/data/database.sqlite");
    $database->setAttribute(PDO::ATTR_ERRMODE, PDO::ERRMODE_EXCEPTION);
    $shop = (int) $database->query('select id from shops limit 1')->fetchColumn();
    [$things, $looks] = [['raven', 'kite', 'lantern', 'moth', 'bell', 'crab', 'wave', 'tower', 'lamp', 'gate'], ['old', 'painted', 'torn', 'inked', 'round', 'wide', 'small', 'bright', 'folded', 'carved']];
    mt_srand(7);
    $database->beginTransaction();
    $piece = $database->prepare('insert into assets (shop_id, kind, file, title, genre, type, bytes, width, height, pack, cut, features, left_out, favourite, licence_name, licence_author, licence_url, licence_id, sha256, look, tags, created_at, updated_at)
        values (?, ?, ?, ?, ?, ?, 1000, 1200, 900, "", "", "[]", "[]", 0, "CC0", "", "", (select id from licences limit 1), ?, ?, ?, "2030-01-01 00:00:00", "2030-01-01 00:00:00")');
    $words = $database->prepare('insert into asset_words (rowid, words) values (?, ?)');
    for ($i = 0; $i < 10_000; $i++) {
        $title = $looks[mt_rand(0, 9)].' '.$things[mt_rand(0, 9)].' '.$i;
        $tags = [$looks[mt_rand(0, 9)], $things[mt_rand(0, 9)]];
        $piece->execute([$shop, $i % 4 === 0 ? 'font' : 'art', "piece-$i.svg", $title, $i % 4 === 0 ? 'slab' : '', 'svg', hash('sha256', (string) $i), substr(hash('sha256', (string) $i), 0, 16), json_encode($tags)]);
        $words->execute([$database->lastInsertId(), "$title piece $i ".implode(' ', $tags)]);
    }
    $database->commit();
    $timed = function (string $path) use ($base, $runs): float {
        $seconds = [];
        for ($i = 0; $i <= max(9, $runs * 3); $i++) {
            [$status, , $took] = ask('GET', "$base/$path");
            $status === 200 ?: exit("bench: $path answered $status\n");
            $seconds[] = $took;
        }

        return median(array_slice($seconds, 1));
    };
    $start = microtime(true);
    for ($i = 0; $i < 20; $i++) {
        $database->query("select * from assets where title like '%aven%' order by kind, title limit 60")->fetchAll();
    }
    $bare = (microtime(true) - $start) / 20;
    printf("first screen of a shelf of 10,000 pieces   %5.0f ms                 (limit 500 ms)\n", $timed('shelf') * 1000);
    printf("a search of two words                      %5.0f ms                 (limit 200 ms; SQLite through all titles alone %.0f ms)\n", $timed('shelf?q=rav+old') * 1000, $bare * 1000);
    printf("a search by tag and use                    %5.0f ms                 (limit 200 ms)\n", $timed('shelf?tag=carved&used=no') * 1000);
    $one = json_decode(ask('GET', "$base/shelf?q=raven")[1], true)['cards'][0]['id'];
    printf("one piece, with those that look like it    %5.0f ms\n", $timed("assets/$one") * 1000);
    proc_terminate($server);
}
