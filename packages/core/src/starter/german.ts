/** The parts of each purpose in German, in the order and with the weights of `PLANS`. `{audience}` and `{topic}` stand where case and number do not show. */
import type { PartText, Purpose } from './purposes.ts';

export const GERMAN: Readonly<Record<Purpose, readonly PartText[]>> = {
  report: [
    {
      title: 'Worum es in diesem Bericht geht',
      points: ['Warum {topic} untersucht wurde', 'Wer gefragt hat, und wozu', 'Was er umfasst, und was nicht'],
      spoken: 'In zwei Sätzen sagen, was am Ende klar sein soll. Im Raum: {audience}.',
    },
    {
      title: 'Kurz gesagt',
      points: ['Das wichtigste Ergebnis', 'Was daraus folgt', 'Was zu entscheiden ist'],
      spoken: 'Zuerst das Ergebnis; die Gründe kommen später.',
    },
    {
      title: 'Wie vorgegangen wurde',
      points: ['Was angesehen wurde', 'Wann und von wem', 'Wie sicher die Zahlen sind'],
      spoken: 'Sagen, woher die Zahlen kommen, ohne Fachwörter.',
    },
    {
      title: 'Was gefunden wurde',
      points: [
        'Erstes Ergebnis, mit seiner Zahl',
        'Zweites Ergebnis, mit seiner Zahl',
        'Drittes Ergebnis, mit seiner Zahl',
      ],
      spoken: 'Zu jedem Ergebnis: was es ist, und woran man es sieht.',
    },
    {
      title: 'Was es bedeutet',
      points: ['Für alle hier', 'Für das Geld', 'Für die Zeit'],
      spoken: 'Sagen, was geschähe, wenn nichts getan würde.',
    },
    {
      title: 'Was noch offen ist',
      points: ['Was noch nicht bekannt ist', 'Was nötig wäre, um es zu wissen'],
      spoken: 'Die schwächste Stelle selbst nennen, bevor jemand fragt.',
    },
    {
      title: 'Was wir empfehlen',
      points: ['Erster Schritt', 'Wer ihn geht', 'Bis wann'],
      spoken: 'Um eine einzige Entscheidung bitten.',
    },
  ],
  lesson: [
    {
      title: 'Was Sie danach können',
      points: ['Eine Sache, die danach gelingt', 'Wozu sie nützt'],
      spoken: 'Mit einem vertrauten Fall beginnen. Im Raum: {audience}.',
    },
    {
      title: 'Was Sie schon kennen',
      points: ['Etwas, das ähnlich ist: {topic}', 'Worin sich beides unterscheidet'],
      spoken: 'Fragen, bevor Sie erzählen.',
    },
    {
      title: 'Der Grundgedanke',
      points: ['{topic} in einem Satz', 'Die Wörter, die man dafür braucht', 'Ein Bild davon'],
      spoken: 'Einmal schlicht sagen, dann einmal mit einem Beispiel.',
    },
    {
      title: 'Ein Beispiel',
      points: ['Was gegeben ist', 'Was getan wird, Schritt für Schritt', 'Was herauskommt'],
      spoken: 'Langsam vormachen und dabei sagen, was Sie denken.',
    },
    {
      title: 'Wo man sich irrt',
      points: ['Ein häufiger Fehler', 'Woran man ihn bemerkt', 'Was man stattdessen tut'],
      spoken: 'Von einem eigenen Fehler erzählen.',
    },
    {
      title: 'Jetzt Sie',
      points: ['Eine Aufgabe für fünf Minuten', 'Was zu einer guten Antwort gehört'],
      spoken: 'Die Zeit nennen und schweigen.',
    },
    {
      title: 'Was bleiben soll',
      points: ['Drei Sätze zum Mitnehmen', 'Wo man weiterliest'],
      spoken: 'Zum Fall vom Anfang zurückkommen.',
    },
  ],
  proposal: [
    {
      title: 'Was wir vorschlagen',
      points: ['{topic}, in einem Satz', 'Was es kostet', 'Was es bringt'],
      spoken: 'Zuerst sagen, was Sie erbitten. Im Raum: {audience}.',
    },
    {
      title: 'Warum jetzt',
      points: ['Woran es heute fehlt', 'Wen es was kostet', 'Was geschieht, wenn wir warten'],
      spoken: 'Eine Zahl und eine Geschichte.',
    },
    {
      title: 'Wie es gehen würde',
      points: ['Was sich ändert', 'Was bleibt, wie es ist', 'Wer was tut'],
      spoken: 'Durch einen gewöhnlichen Tag danach führen.',
    },
    {
      title: 'Was sonst erwogen wurde',
      points: ['Ein anderer Weg, und warum nicht', 'Nichts tun, und warum nicht'],
      spoken: 'Den anderen Wegen gerecht werden.',
    },
    {
      title: 'Was es kostet',
      points: ['Geld, einmalig und jedes Jahr', 'Zeit von Menschen', 'Woher beides käme'],
      spoken: 'Sagen, was sicher ist und was geschätzt.',
    },
    {
      title: 'Was schiefgehen könnte',
      points: ['Das größte Risiko', 'Woran wir es merken würden', 'Was wir dann täten'],
      spoken: 'Die Frage beantworten, die ohnehin kommt.',
    },
    {
      title: 'Schritte und Termine',
      points: ['Erster Schritt, mit seinem Datum', 'Ein Punkt, an dem wir noch umkehren können', 'Wann es fertig ist'],
      spoken: 'Tage nennen, nicht Wochen.',
    },
    {
      title: 'Worum wir Sie bitten',
      points: ['Die Entscheidung', 'Bis wann', 'Was am Tag danach geschieht'],
      spoken: 'Nach der Frage aufhören.',
    },
  ],
  comparison: [
    {
      title: 'Was verglichen wird, und wozu',
      points: ['Die Möglichkeiten', 'Wer wählen muss', 'Bis wann'],
      spoken: 'Sagen, wofür es gebraucht wird: {topic}. Im Raum: {audience}.',
    },
    {
      title: 'Worauf es ankommt',
      points: ['Was sein muss', 'Was gut wäre', 'Wie gewichtet wurde'],
      spoken: 'Sich darüber einigen, bevor Sie ein Ergebnis zeigen.',
    },
    {
      title: 'Die erste Möglichkeit',
      points: ['Was sie ist', 'Wo sie stark ist', 'Wo sie schwach ist'],
      spoken: 'Ein Beispiel aus dem Gebrauch.',
    },
    {
      title: 'Die zweite Möglichkeit',
      points: ['Was sie ist', 'Wo sie stark ist', 'Wo sie schwach ist'],
      spoken: 'Dieselben Fragen in derselben Reihenfolge.',
    },
    {
      title: 'Eine dritte Möglichkeit',
      points: ['Was sie ist', 'Wo sie stark ist', 'Wo sie schwach ist'],
      spoken: 'Weglassen, wenn es nur zwei gibt.',
    },
    {
      title: 'Nebeneinander',
      points: ['Was es kostet', 'Wie lange es hält', 'Wie viel Arbeit es macht'],
      spoken: 'Eine Tabelle sagt es besser als Punkte: Ersetzen Sie diese durch eine.',
    },
    {
      title: 'Was wir wählen würden',
      points: ['Die Wahl', 'Für wen das andere besser ist', 'Was man zuerst versucht'],
      spoken: 'Sagen, was Sie umstimmen würde.',
    },
  ],
  'how-to': [
    {
      title: 'Was am Ende herauskommt',
      points: ['{topic}, wenn es getan ist', 'Wie lange es dauert'],
      spoken: 'Das Ergebnis vor dem ersten Schritt zeigen.',
    },
    {
      title: 'Was Sie brauchen',
      points: ['Dinge', 'Wissen', 'Zeit und Ort'],
      spoken: 'Sagen, was man weglassen kann.',
    },
    {
      title: 'Erster Schritt',
      points: ['Was zu tun ist', 'Woran man sieht, dass es stimmt'],
      spoken: 'Vormachen, während Sie es sagen.',
    },
    {
      title: 'Zweiter Schritt',
      points: ['Was zu tun ist', 'Woran man sieht, dass es stimmt'],
      spoken: 'Warten, bis alle so weit sind. Im Raum: {audience}.',
    },
    {
      title: 'Dritter Schritt',
      points: ['Was zu tun ist', 'Woran man sieht, dass es stimmt'],
      spoken: 'Sagen, warum das nach dem zweiten kommt.',
    },
    {
      title: 'Ein Schritt für alle, die mehr wollen',
      points: ['Was zu tun ist', 'Wann es sich lohnt'],
      spoken: 'Nur, wenn Zeit ist.',
    },
    {
      title: 'Wenn es nicht klappt',
      points: ['Was man sieht', 'Woher es kommt', 'Was zu tun ist'],
      spoken: 'Die Störung nehmen, die am häufigsten vorkommt.',
    },
    {
      title: 'Wie es weitergeht',
      points: ['Was man als Nächstes versucht', 'Wen man fragt'],
      spoken: 'Eine Adresse nennen, nicht fünf.',
    },
  ],
  progress: [
    {
      title: 'Wo wir stehen',
      points: ['In einem Wort: im Plan, verspätet, angehalten', 'Was seit dem letzten Mal getan ist', 'Was nicht'],
      spoken: 'Es sagen, bevor jemand fragen muss.',
    },
    {
      title: 'Was getan ist',
      points: ['Etwas, das fertig ist', 'Was es gebracht hat'],
      spoken: 'Zeigen, nicht aufzählen.',
    },
    {
      title: 'Was als Nächstes kommt',
      points: ['Nächster Schritt, mit seinem Datum', 'Wer ihn geht'],
      spoken: 'Nur, was vor dem nächsten Treffen liegt.',
    },
    {
      title: 'Zeit und Geld',
      points: ['Tage, geplant und gebraucht', 'Geld, geplant und ausgegeben', 'Was übrig ist'],
      spoken: 'Jedes Mal beide Zahlen: geplant und gebraucht.',
    },
    {
      title: 'Was uns aufhält',
      points: ['Was es ist', 'Was es kostet', 'Wer es aus dem Weg räumen kann'],
      spoken: 'Die Person nennen, an die es geht, wenn sie im Raum ist.',
    },
    {
      title: 'Was sich geändert hat',
      points: ['An der Sache: {topic}', 'An den Erwartungen: {audience}'],
      spoken: 'Sagen, was inzwischen entschieden wurde, und von wem.',
    },
    { title: 'Was wir von Ihnen brauchen', points: ['Eine Entscheidung', 'Bis wann'], spoken: 'Nur eine Sache.' },
  ],
};
