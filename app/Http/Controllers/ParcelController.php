<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\HouseCard;
use App\Http\Answers\HouseService;
use App\Http\Answers\ParcelCard;
use App\Models\HouseRecord;
use App\Models\Parcel;
use App\Models\PrintJob;
use App\Sending\Houses\Services;
use App\Sending\Parcels;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Sending files to houses, and their replies. */
final class ParcelController
{
    /** @return list<HouseService> */
    public function services(): array
    {
        $named = Services::named();

        return array_map(fn (string $key, string $name): HouseService => new HouseService($key, $name), array_keys($named), array_values($named));
    }

    /** Sets the service by which a house takes files. An empty token keeps the stored one, unless service or account change. */
    public function connect(Request $request, HouseRecord $house): HouseCard
    {
        $request->validate([
            'service' => ['present', 'nullable', 'string', Rule::in(['', ...array_keys(Services::named())])], 'account' => ['present', 'nullable', 'string', 'max:100', 'regex:/^[A-Za-z0-9._-]*$/'],
            'token' => ['sometimes', 'nullable', 'string', 'max:500'],
        ], ['account.regex' => 'An account has letters, digits, dots and dashes only.', 'service.in' => 'That service is not known here.']);
        [$service, $account, $token] = [$request->string('service')->toString(), $request->string('account')->toString(), $request->string('token')->trim()->toString()];
        if ($service !== '' && $account === '') {
            throw ValidationException::withMessages(['account' => 'Say by which account the service knows you.']);
        }
        $kept = $house->service === $service && $house->account === $account ? $house->token : null;
        $house->update(['service' => $service, 'account' => $account, 'token' => $token === '' ? $kept : $token]);

        return HouseCard::of($house);
    }

    /** @return list<ParcelCard> of a job, the newest first */
    public function index(PrintJob $job): array
    {
        return array_values(Parcel::query()->where('shop_id', $job->shop_id)->whereIn('export_id', $job->exports()->select('id'))->with(['export', 'house'])->orderByDesc('id')->limit(200)->get()->map(ParcelCard::of(...))->all());
    }

    public function bring(PrintJob $job, string $batch): JsonResponse
    {
        $parcels = Parcels::begin($job, $batch);

        return new JsonResponse(array_map(fn (Parcel $parcel): ParcelCard => ParcelCard::of($parcel->load(['export', 'house'])), $parcels), 201);
    }
}
