<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ShopScope;
use Illuminate\Database\Eloquent\Attributes\ScopedBy;
use Illuminate\Database\Eloquent\Model;
use TallCrow\Listing\ListingLimits;
use TallCrow\Listing\ListingText;

/**
 * The listing texts of a job.
 *
 * @property int $id
 * @property string $title
 * @property string $description
 * @property list<string> $tags
 * @property array{title: ?int, description: ?int, tags: ?int, tag: ?int} $limits
 */
#[ScopedBy(ShopScope::class)]
final class Listing extends Model
{
    protected $fillable = ['shop_id', 'print_job_id', 'title', 'description', 'tags', 'limits'];

    protected $casts = ['tags' => 'array', 'limits' => 'array'];

    protected $attributes = ['title' => '', 'description' => '', 'tags' => '[]', 'limits' => '{"title":null,"description":null,"tags":null,"tag":null}'];

    /** The listing of a job; if there is none, a new one with the sheet's title and the most recently stated limits. */
    public static function of(PrintJob $job): self
    {
        $last = self::query()->where('shop_id', $job->shop_id)->latest('updated_at')->first();

        return self::query()->where('print_job_id', $job->id)->first()
            ?? new self(['shop_id' => $job->shop_id, 'print_job_id' => $job->id, 'title' => $job->title] + ($last === null ? [] : ['limits' => $last->limits]));
    }

    public function text(): ListingText
    {
        $limits = $this->limits;

        return new ListingText($this->title, $this->description, $this->tags, new ListingLimits($limits['title'], $limits['description'], $limits['tags'], $limits['tag']));
    }
}
