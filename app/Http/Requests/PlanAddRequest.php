<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Plans\AddToPlan;
use App\Models\Study;
use App\Support\Texts;
use GreaterReach\Core\Keyword\KeywordKey;
use Illuminate\Foundation\Http\FormRequest;

/** What is put on the roadmap. */
final class PlanAddRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'topics' => ['sometimes', 'array', 'max:500'],
            'topics.*' => ['string', 'max:2000'],
            'keywords' => ['sometimes', 'array', 'max:500'],
            'keywords.*' => ['string', 'max:2000'],
            'alone' => ['sometimes', 'boolean'],
            'links' => ['sometimes', 'array:topic,count'],
            'links.topic' => ['required_with:links', 'string', 'max:2000'],
            'links.count' => ['required_with:links', 'integer', 'between:1,1000'],
        ];
    }

    /** @return int how many items are new */
    public function added(AddToPlan $add, Study $study): int
    {
        $user = (int) $this->user()?->id;
        if ($this->has('links')) {
            return $add->links($study, $this->string('links.topic')->value(), $this->integer('links.count'), $user);
        }
        if ($this->has('topics')) {
            return $add->topics($study, Texts::list($this->array('topics')), $user);
        }
        $keywords = array_map(KeywordKey::of(...), Texts::list($this->array('keywords')));

        return $this->has('keywords') ? $add->keywords($study, $keywords, $user, $this->boolean('alone')) : $add->shortlist($study, $user);
    }
}
