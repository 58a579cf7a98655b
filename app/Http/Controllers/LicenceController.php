<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Answers\FactQuestion;
use App\Http\Answers\Interview;
use App\Http\Answers\KnownTerms;
use App\Http\Answers\LicenceCard;
use App\Http\Answers\ProofCard;
use App\Http\Answers\ProofText;
use App\Http\Answers\SpdxName;
use App\Http\Requests\LicenceTerms;
use App\Models\LicenceRecord;
use App\Models\Proof;
use App\Models\Shop;
use App\Rights\ProofStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use TallCrow\Rights\FactName;
use TallCrow\Rights\KnownLicences;
use TallCrow\Rights\Spdx;

/** The licences of the shop, their terms and their proofs. */
final readonly class LicenceController
{
    public function __construct(private ProofStore $proofs) {}

    /** @return array<int, LicenceCard> */
    public function index(Shop $shop): array
    {
        return $shop->licences()->with('proofs')->withCount('assets')->orderBy('name')->orderBy('licensor')->get()->map(LicenceCard::of(...))->all();
    }

    public function interview(): Interview
    {
        $names = Spdx::names();

        return new Interview(array_map(FactQuestion::of(...), FactName::cases()), array_map(KnownTerms::of(...), KnownLicences::ids()), array_map(fn (string $id, string $name): SpdxName => new SpdxName($id, $name), array_keys($names), array_values($names)));
    }

    public function store(LicenceTerms $request, Shop $shop): JsonResponse
    {
        return LicenceCard::of($shop->licences()->create($request->columns()))->created();
    }

    public function update(LicenceTerms $request, LicenceRecord $licence): LicenceCard
    {
        $licence->update($request->columns());

        return LicenceCard::of($licence);
    }

    public function destroy(LicenceRecord $licence): Response
    {
        $held = $licence->assets()->count();
        abort_if($held > 0, 409, "$held ".($held === 1 ? 'piece is' : 'pieces are').' held under this licence. Put them under another first.');
        $licence->delete();

        return response()->noContent();
    }

    public function prove(Request $request, Shop $shop, LicenceRecord $licence): JsonResponse
    {
        $request->validate(['file' => ['required', 'file', 'max:'.intdiv(ProofStore::MOST_BYTES, 1000)]], ['file.required' => 'Choose a file.', 'file.max' => 'The file is larger than 20 MB.']);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);

        return ProofCard::of($this->proofs->keep($shop, $licence, $file->getPathname(), $file->getClientOriginalName()))->created();
    }

    /** Always sent as a download, never displayed, since its content is untrusted. */
    public function proof(Proof $proof): BinaryFileResponse
    {
        abort_unless(is_file($proof->path()), 404, 'The file of this proof is lost.');

        return response()->download($proof->path(), $proof->name, ['Content-Type' => 'application/octet-stream', 'X-Content-Type-Options' => 'nosniff', 'Content-Security-Policy' => "default-src 'none'; sandbox"]);
    }

    public function read(Proof $proof): ProofText
    {
        $text = $this->proofs->text($proof) ?? abort(404, 'This proof cannot be shown as text. Save it and look at it there.');

        return new ProofText($proof->name, $text, $this->proofs->isWhole($proof));
    }
}
