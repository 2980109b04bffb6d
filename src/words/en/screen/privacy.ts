/** What is kept of whom, in plain words. */
export const privacy = {
  title: {
    kept: 'What is kept',
    seen: 'Who sees it',
    sent: 'What is sent',
    cookies: 'Cookies',
    long: 'How long',
    rights: 'Your rights',
  },
  text: {
    kept: 'Of a student: a name, a line about level, goal and kit, the programs given, when they practise, and a log of every try with tempo, verdict and remarks. Of a teacher: a name, an email address, and a hash of the password. Of a device that somebody is signed in on: what its browser calls itself, and since when. No birthday, no picture, no sound, no place.',
    seen: 'A student sees their own. A teacher sees the students whom they teach, the owner of the studio all of them. Whoever was given a reader’s link sees one record and nothing else. Whoever runs this Mivvel can read its file.',
    sent: 'Nothing leaves this Mivvel by itself. Mail goes out for invitations and new passwords where a mail server is set. Files, sheets and shared programs go where you take them.',
    cookies:
      'One that keeps you signed in, one that makes a device the studio’s tablet, and your choices of light and language. None to follow you.',
    long: 'The log stays until the student is erased. Sign-ins end after disuse: {teachers, number} days for teachers, {students, number} for students, {hours, number} hours on the studio’s tablet. What happened with accounts is kept for {audit, number} days, mail that waits for {mail, number}. A backup goes when newer ones take its place, the last of each month after twelve of them.',
    rights:
      'Ask your teacher for all that is kept of you as a file, to have it put right, or to be erased. Erasing takes out log, plan, links and devices at once; backups made before still hold them until they are let go.',
  },
} as const;
