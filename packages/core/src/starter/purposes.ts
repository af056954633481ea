/** What a talk of each purpose usually says: parts in their order, with how much they matter and what to write there. */

export const PURPOSES = ['report', 'lesson', 'proposal', 'comparison', 'how-to', 'progress'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** What is written in a part; `{topic}` and `{audience}` are filled in. */
export interface PartText {
  readonly title: string;
  /** Questions that the part answers, most important first; each becomes a point. */
  readonly points: readonly string[];
  /** What to say beside the points. */
  readonly spoken: string;
}
export interface PlannedPart extends PartText {
  /** 1 must be there; the higher, the sooner it is left away in a short talk. */
  readonly weight: number;
}

export const PLANS: Readonly<Record<Purpose, readonly PlannedPart[]>> = {
  report: [
    {
      title: 'What this report is about',
      weight: 1,
      points: ['Why {topic} was looked at', 'Who asked, and what for', 'What it covers, and what not'],
      spoken: 'Say in two sentences what {audience} will know at the end.',
    },
    {
      title: 'In short',
      weight: 1,
      points: ['The most important finding', 'What follows from it', 'What has to be decided'],
      spoken: 'Give the result first; the reasons come later.',
    },
    {
      title: 'How it was done',
      weight: 4,
      points: ['What was looked at', 'When and by whom', 'How sure the figures are'],
      spoken: 'Tell where the figures come from, in words {audience} uses.',
    },
    {
      title: 'What was found',
      weight: 1,
      points: ['First finding, with its figure', 'Second finding, with its figure', 'Third finding, with its figure'],
      spoken: 'For each finding: what it is, and how one can see it.',
    },
    {
      title: 'What it means',
      weight: 2,
      points: ['For {audience}', 'For the money', 'For the time'],
      spoken: 'Say what would happen if nothing were done.',
    },
    {
      title: 'What is still open',
      weight: 5,
      points: ['What is not known yet', 'What would be needed to know it'],
      spoken: 'Name the weakest point yourself, before someone asks.',
    },
    {
      title: 'What we recommend',
      weight: 2,
      points: ['First step', 'Who does it', 'By when'],
      spoken: 'Ask for one decision.',
    },
  ],
  lesson: [
    {
      title: 'What you will be able to do',
      weight: 1,
      points: ['One thing that {audience} can do afterwards', 'Where it is of use'],
      spoken: 'Begin with a case that {audience} knows.',
    },
    {
      title: 'What you know already',
      weight: 4,
      points: ['A thing that is like {topic}', 'Where they differ'],
      spoken: 'Ask before you tell.',
    },
    {
      title: 'The main idea',
      weight: 1,
      points: ['{topic} in one sentence', 'The words that are needed for it', 'A picture of it'],
      spoken: 'Say it once plainly, then once with an example.',
    },
    {
      title: 'An example',
      weight: 1,
      points: ['What is given', 'What is done, step by step', 'What comes out'],
      spoken: 'Do it slowly, and say what you are thinking.',
    },
    {
      title: 'Where people go wrong',
      weight: 3,
      points: ['A common mistake', 'How one notices it', 'What to do instead'],
      spoken: 'Tell of a mistake of your own.',
    },
    {
      title: 'Your turn',
      weight: 2,
      points: ['A task of five minutes', 'What a good answer has in it'],
      spoken: 'Give the time, and keep quiet.',
    },
    {
      title: 'What to keep in mind',
      weight: 2,
      points: ['Three sentences to take along', 'Where to read on'],
      spoken: 'Come back to the case from the beginning.',
    },
  ],
  proposal: [
    {
      title: 'What we propose',
      weight: 1,
      points: ['{topic}, in one sentence', 'What it costs', 'What it brings'],
      spoken: 'Say first what you want from {audience}.',
    },
    {
      title: 'Why now',
      weight: 1,
      points: ['What is the matter today', 'Whom it costs what', 'What happens if we wait'],
      spoken: 'Give one figure and one story.',
    },
    {
      title: 'How it would work',
      weight: 2,
      points: ['What changes', 'What stays as it is', 'Who does what'],
      spoken: 'Walk through one ordinary day afterwards.',
    },
    {
      title: 'What else was considered',
      weight: 4,
      points: ['Another way, and why not', 'Doing nothing, and why not'],
      spoken: 'Be fair to the other ways.',
    },
    {
      title: 'What it costs',
      weight: 2,
      points: ['Money, once and each year', 'Time of people', 'Where it would come from'],
      spoken: 'Say what is sure and what is guessed.',
    },
    {
      title: 'What could go wrong',
      weight: 3,
      points: ['The greatest risk', 'How we would notice', 'What we would do then'],
      spoken: 'Answer the question that {audience} will ask anyway.',
    },
    {
      title: 'Steps and dates',
      weight: 3,
      points: ['First step, with its date', 'A point at which we can still turn back', 'When it is done'],
      spoken: 'Give dates, not weeks.',
    },
    {
      title: 'What we ask of you',
      weight: 1,
      points: ['The decision', 'By when', 'What happens on the day after'],
      spoken: 'Stop after the question.',
    },
  ],
  comparison: [
    {
      title: 'What is compared, and what for',
      weight: 1,
      points: ['The choices', 'Who has to choose', 'By when'],
      spoken: 'Say what {audience} wants to use {topic} for.',
    },
    {
      title: 'What matters',
      weight: 1,
      points: ['What must be so', 'What would be good', 'How it was weighed'],
      spoken: 'Agree on this before you show any result.',
    },
    {
      title: 'The first choice',
      weight: 1,
      points: ['What it is', 'Where it is strong', 'Where it is weak'],
      spoken: 'One example from use.',
    },
    {
      title: 'The second choice',
      weight: 1,
      points: ['What it is', 'Where it is strong', 'Where it is weak'],
      spoken: 'The same questions in the same order.',
    },
    {
      title: 'A third choice',
      weight: 4,
      points: ['What it is', 'Where it is strong', 'Where it is weak'],
      spoken: 'Leave this out if there are only two.',
    },
    {
      title: 'Side by side',
      weight: 2,
      points: ['What it costs', 'How long it lasts', 'How much work it is'],
      spoken: 'A table says it better than points: replace them with one.',
    },
    {
      title: 'What we would choose',
      weight: 1,
      points: ['The choice', 'For whom the other is better', 'What to try first'],
      spoken: 'Say what would change your mind.',
    },
  ],
  'how-to': [
    {
      title: 'What comes out at the end',
      weight: 1,
      points: ['{topic}, when it is done', 'How long it takes'],
      spoken: 'Show the result before the first step.',
    },
    {
      title: 'What you need',
      weight: 1,
      points: ['Things', 'Knowledge', 'Time and place'],
      spoken: 'Say what can be left out.',
    },
    {
      title: 'First step',
      weight: 1,
      points: ['What to do', 'How one sees that it is right'],
      spoken: 'Do it while you say it.',
    },
    {
      title: 'Second step',
      weight: 1,
      points: ['What to do', 'How one sees that it is right'],
      spoken: 'Wait until all of {audience} are there.',
    },
    {
      title: 'Third step',
      weight: 1,
      points: ['What to do', 'How one sees that it is right'],
      spoken: 'Say why this comes after the second.',
    },
    {
      title: 'A step for those who want more',
      weight: 5,
      points: ['What to do', 'When it is worth it'],
      spoken: 'Only if there is time.',
    },
    {
      title: 'When it does not work',
      weight: 2,
      points: ['What one sees', 'What it comes from', 'What to do'],
      spoken: 'Take the trouble that comes most often.',
    },
    {
      title: 'How to go on',
      weight: 3,
      points: ['What to try next', 'Whom to ask'],
      spoken: 'Give one address, not five.',
    },
  ],
  progress: [
    {
      title: 'Where we stand',
      weight: 1,
      points: ['In one word: on time, late, stopped', 'What is done since last time', 'What is not'],
      spoken: 'Say it before anyone has to ask.',
    },
    {
      title: 'What is done',
      weight: 1,
      points: ['A thing that is finished', 'What it has brought'],
      spoken: 'Show it, do not list it.',
    },
    {
      title: 'What comes next',
      weight: 1,
      points: ['Next step, with its date', 'Who does it'],
      spoken: 'Only what lies before the next meeting.',
    },
    {
      title: 'Time and money',
      weight: 2,
      points: ['Days planned and used', 'Money planned and used', 'What is left'],
      spoken: 'Give both figures each time: planned and used.',
    },
    {
      title: 'What holds us up',
      weight: 1,
      points: ['What it is', 'What it costs', 'Who can clear it away'],
      spoken: 'Name the person who is asked, if they are in the room.',
    },
    {
      title: 'What has changed',
      weight: 4,
      points: ['In {topic}', 'In what {audience} expects'],
      spoken: 'Say what was decided meanwhile, and by whom.',
    },
    { title: 'What we need from you', weight: 1, points: ['A decision', 'By when'], spoken: 'One thing only.' },
  ],
};
