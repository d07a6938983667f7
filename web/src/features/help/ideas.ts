/** The five ideas that everything here rests on; each has its picture in `IdeaPicture`. */
export const IDEAS = [
  {
    code: 'blank',
    title: 'The blank: turned down before the die',
    says: [
      'A die does not cut a bar of the thread’s own size well. Turn the bar down first, to the blank diameter. It is a little smaller than the thread because the metal swells into the die.',
      'If the blank is too large, the die binds and tears. If it is too small, the thread is shallow. Conch gives the diameter and its limits for your metal and your die.',
    ],
  },
  {
    code: 'zero',
    title: 'Edge and zero: what Z means',
    says: [
      'Every Z on a plan is one edge of one tool, measured from the finished face. Z 0 is that face. Minus goes into the work, towards the chuck.',
      'The step names the edge: the tip of the knife tool, the left edge of the parting blade, the point of the drill. With another tool, touch off again unless your lathe keeps its zeros.',
    ],
  },
  {
    code: 'dial',
    title: 'The dial: diameter or depth',
    says: [
      'Some cross-slide dials count what comes off the diameter, others how far the tool goes in, which is half of it. Say once in Shop which one your lathe has.',
      'At the bench the large figure is always in the terms of your dial. Type what you measure. Conch gives the next cut, and learns how much really comes off.',
    ],
  },
  {
    code: 'screws',
    title: 'The screws of a split die',
    says: [
      'Three screws hold a split die. The middle one spreads its slit: the die opens and the thread gets larger. The two outer ones press it together: the thread gets smaller.',
      'Slacken before you tighten, and move by an eighth of a turn. Conch says which screw and how far after you tried the nut, and remembers where this die cut well.',
    ],
  },
  {
    code: 'class',
    title: 'The class: how much play is right',
    says: [
      'No thread is exact. Its class says between which limits its diameters may be: 2A or 6g for a usual bolt, 2B or 6H for a usual nut. “In class” means between those limits.',
      'A nut feels the pitch diameter more than the outside. That is why a thread can measure right over its crests and still be too tight.',
    ],
  },
] as const
export type IdeaCode = (typeof IDEAS)[number]['code']
