<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Imports\DomainFinder;
use App\Actions\Imports\ImportOrder;
use App\Models\Study;
use GreaterReach\Core\Intake\ImportKind;
use GreaterReach\Core\Site\PublicSuffixList;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;

/** A file to look at or to bring in. */
final class ImportRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.intdiv(config()->integer('reach.max_upload'), 1024)],
            'kind' => ['required', 'in:rankings,keywords,results,performance,domains'],
            'domain' => ['nullable', 'string', 'max:2000'],
            'date' => ['nullable', 'date_format:Y-m-d'],
            'channel' => ['nullable', 'in:organic,paid'],
            'mapping' => ['nullable', 'array', 'max:30'],
            'mapping.*' => ['string', 'max:500'],
            'allow_errors' => ['nullable', 'integer', 'min:0', 'max:999999999'],
        ];
    }

    public function toOrder(Study $study, PublicSuffixList $suffixes, bool $isDryRun): ImportOrder
    {
        /** @var UploadedFile $file */
        $file = $this->file('file');
        $domain = $this->string('domain')->trim()->value();

        return new ImportOrder(
            $study,
            ImportKind::from($this->string('kind')->value()),
            $file->getPathname(),
            $file->getClientOriginalName(),
            $this->string('date')->value() ?: now('UTC')->toDateString(),
            $domain === '' ? null : (new DomainFinder($study, $suffixes))->get($domain),
            $this->string('channel')->value() ?: 'organic',
            array_map(strval(...), $this->array('mapping')),
            $this->integer('allow_errors'),
            $isDryRun,
            $this->user()?->id,
        );
    }
}
