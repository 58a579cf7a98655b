<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\Remark;
use App\Models\PrintJob;
use App\Models\User;
use App\Models\Verdict;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Comments on a job, and approvals of its revisions. */
final class CommentController
{
    /** @return array<int, Remark> */
    public function index(PrintJob $job): array
    {
        return $job->comments()->with('user')->orderByDesc('id')->limit(200)->get()->map(Remark::of(...))->all();
    }

    public function store(Request $request, PrintJob $job, #[CurrentUser] User $user): JsonResponse
    {
        $asked = $request->validate(['verdict' => ['required', Rule::enum(Verdict::class)], 'text' => ['nullable', 'required_unless:verdict,approved', 'string', 'max:2000']], ['text.required_unless' => 'Say in a few words what you mean.']);
        $comment = $job->comments()->create([
            'shop_id' => $job->shop_id, 'revision_id' => $job->head_id, 'user_id' => $user->id, 'verdict' => $asked['verdict'], 'text' => $asked['text'] ?? '',
        ]);

        return Remark::of($comment->setRelation('user', $user))->created();
    }
}
