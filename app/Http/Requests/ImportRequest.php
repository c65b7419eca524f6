<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Imports\DomainFinder;
use App\Models\Study;
use App\Models\Upload;
use App\Support\Texts;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** What a person wants done with a file that was received. */
final class ImportRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'upload' => ['required', 'uuid'],
            'kind' => ['required', Rule::enum(ImportKind::class)],
            'domain' => ['nullable', 'string', 'max:2000'],
            'date' => ['nullable', 'date_format:Y-m-d'],
            'channel' => ['nullable', 'in:organic,paid'],
            'mapping' => ['nullable', 'array', 'max:30'],
            'mapping.*' => ['string', 'max:500'],
            'allow_errors' => ['nullable', 'integer', 'min:0', 'max:999999999'],
            'header_line' => ['nullable', 'integer', 'min:1', 'max:100000'],
        ];
    }

    public function uploaded(Study $study): Upload
    {
        return Upload::query()->where('study_id', $study->id)->findOrFail($this->string('upload')->value());
    }

    /** @return array<string, mixed> the order as it travels through the queue; refused here when the domain is not the study's */
    public function payload(Study $study, PublicSuffixList $suffixes): array
    {
        $domain = $this->string('domain')->trim()->value();
        if ($domain !== '') {
            (new DomainFinder($study, $suffixes))->get($domain);
        }

        return [
            'upload' => $this->string('upload')->value(),
            'kind' => $this->string('kind')->value(),
            'domain' => $domain,
            'date' => $this->string('date')->value() ?: now('UTC')->toDateString(),
            'channel' => $this->string('channel')->value() ?: 'organic',
            'mapping' => (object) Texts::of($this->array('mapping')),
            'allow_errors' => $this->integer('allow_errors'),
            'header_line' => max(1, $this->integer('header_line')),
        ];
    }
}
