// The field pack: works from a phone's storage without any network. What is entered stays on this device until it is given back as one small file.
;(() => {
  const pack = JSON.parse(document.getElementById('pack').textContent)
  const main = document.querySelector('main')
  const KEY = `linguator-field/${pack.uid}/${pack.state}`
  const LARGEST_PX = 1280
  const MOST_PHOTOS = 12
  const JPEG = 0.72

  /** An element with its attributes and what stands in it. */
  function el(name, attributes = {}, ...inside) {
    const made = document.createElement(name)
    for (const [key, value] of Object.entries(attributes)) {
      if (key.startsWith('on')) made.addEventListener(key.slice(2), value)
      else if (value !== false && value !== null && value !== undefined) made.setAttribute(key, value === true ? '' : value)
    }
    made.append(...inside.filter((one) => one !== null && one !== undefined))
    return made
  }
  const nowText = () => new Date().toISOString().replace(/\.\d+Z$/, 'Z')
  const localTime = (text) => new Date(text).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' })

  // What was entered: text in the storage of this page, pictures in its database. Without either it is said, and nothing is lost until it is closed.
  let kept = { by: '', note: '', answers: {} }
  let storageFails = false
  try {
    kept = { ...kept, ...JSON.parse(localStorage.getItem(KEY) ?? '{}') }
  } catch {
    storageFails = true
  }
  function keep() {
    try {
      localStorage.setItem(KEY, JSON.stringify(kept))
    } catch {
      storageFails = true
      warn()
    }
    count()
  }
  const answerOf = (key) => (kept.answers[key] ??= { passed: null, shows: '', observed: '', at: '' })

  let photos = []
  const database = new Promise((done) => {
    try {
      const open = indexedDB.open('linguator-field', 1)
      open.onupgradeneeded = () => open.result.createObjectStore('photos', { keyPath: 'id', autoIncrement: true }).createIndex('key', 'key')
      open.onsuccess = () => done(open.result)
      open.onerror = () => done(null)
    } catch {
      done(null)
    }
  })
  async function store(mode) {
    const base = await database
    return base === null ? null : base.transaction('photos', mode).objectStore('photos')
  }
  const asked = (request) =>
    new Promise((done, fail) => ((request.onsuccess = () => done(request.result)), (request.onerror = () => fail(request.error))))

  const warning = el(
    'p',
    { class: 'band red', role: 'alert', hidden: true },
    'This device does not keep what is entered here: give it back before the page is closed.',
  )
  function warn() {
    warning.hidden = !storageFails
  }

  // How it stands, and since when this pack is what it is.
  const verdict = document.getElementById('verdict')
  verdict.className = pack.next.severity
  verdict.textContent = `${pack.next.label}. ${pack.next.sentence}`
  const by = el('input', {
    type: 'text',
    id: 'by',
    maxlength: 80,
    autocomplete: 'name',
    value: kept.by,
    oninput: (event) => ((kept.by = event.target.value), keep()),
  })
  main.append(
    el(
      'p',
      { class: 'muted' },
      `Made ${localTime(pack.made_at)}. What is changed on the bench afterwards is not in it; what you see here counts for the rig as it was then.`,
    ),
    warning,
    el('p', {}, el('label', { for: 'by' }, 'Who looks'), by),
  )

  /** One thing to be seen: with how, what must be seen, and what was. */
  function card(item) {
    const key = `${item.intent}/${JSON.stringify(item.told)}`
    const answer = answerOf(key)
    const change = (told) => {
      Object.assign(answer, told)
      if (answer.at === '') answer.at = nowText()
      keep()
    }
    const radio = (label, value, isOn, set) =>
      el('label', {}, el('input', { type: 'radio', name: key, value, checked: isOn, onchange: () => change(set) }), label)
    const choices = item.choices ?? []
    const answers =
      choices.length > 0
        ? choices.map((one) => radio(one.says, one.shows, answer.shows === one.shows, { shows: one.shows, passed: false }))
        : [
            ...(item.may_pass === false ? [] : [radio('As expected', 'pass', answer.passed === true, { passed: true })]),
            radio('Not as expected', 'fail', answer.passed === false, { passed: false }),
          ]
    const observed = el('textarea', {
      rows: 2,
      maxlength: 1000,
      'aria-label': `${item.title}: what was seen`,
      placeholder: 'what was seen',
      oninput: (event) => change({ observed: event.target.value }),
    })
    observed.value = answer.observed
    const clear = el(
      'button',
      {
        type: 'button',
        onclick: () => ((kept.answers[key] = { passed: null, shows: '', observed: '', at: '' }), keep(), box.replaceWith(card(item))),
      },
      'Clear',
    )
    const box = el(
      'fieldset',
      {},
      el('legend', {}, `${item.title}${item.state === 'holds' ? ' – holds' : item.state === 'stale' ? ' – stale' : ''}`),
      item.safety ? el('p', { class: 'band red' }, item.safety) : null,
      item.mend_first ? el('p', { class: 'band' }, item.mend_first) : null,
      item.do ? el('p', {}, item.do) : null,
      el('p', { class: 'muted' }, `Must be seen: ${item.expected}`),
      el('div', { class: 'answers', role: 'radiogroup', 'aria-label': item.title }, ...answers),
      observed,
      el('div', { class: 'row' }, clear),
    )
    return box
  }

  if (pack.tests.length > 0) main.append(el('h2', {}, 'If the link is lost'), ...pack.tests.map(card))
  main.append(el('h2', {}, 'To be seen'), ...pack.checks.map(card))
  if (pack.range) main.append(el('p', { class: 'muted' }, pack.range))

  // A stopwatch, also against the times within which something must be done.
  const clock = el('p', { class: 'clock', role: 'timer', 'aria-label': 'Stopwatch' }, '0.0 s')
  const laps = el('ol')
  let began = 0
  let ticking = 0
  const seconds = () => (performance.now() - began) / 1000
  const show = () => (clock.textContent = `${seconds().toFixed(1)} s`)
  const run = el('button', { type: 'button', class: 'main', onclick: toggle }, 'Start')
  function toggle() {
    if (ticking === 0) {
      began = performance.now()
      ticking = setInterval(show, 100)
      run.textContent = 'Stop'
    } else {
      clearInterval(ticking)
      ticking = 0
      show()
      laps.append(el('li', {}, `${seconds().toFixed(1)} s`))
      run.textContent = 'Start'
    }
  }
  main.append(
    el('h2', {}, 'Stopwatch'),
    clock,
    el(
      'div',
      { class: 'row' },
      run,
      el('button', { type: 'button', onclick: () => ticking && laps.append(el('li', {}, `${seconds().toFixed(1)} s`)) }, 'Mark'),
    ),
    ...pack.windows.map((one) => el('p', { class: 'muted' }, `Within ${one.seconds} s: ${one.says}`)),
    laps,
  )

  const note = el('textarea', { rows: 4, maxlength: 4000, id: 'note', oninput: (event) => ((kept.note = event.target.value), keep()) })
  note.value = kept.note
  main.append(el('h2', {}, el('label', { for: 'note' }, 'Notes')), note)

  // Pictures, made small enough to be given back.
  const gallery = el('div', { class: 'photos' })
  const pick = el('input', { type: 'file', accept: 'image/*', capture: 'environment', class: 'hidden', onchange: take })
  main.append(el('h2', {}, 'Pictures'), el('label', { class: 'file row' }, pick, 'Take a picture'), gallery)
  async function take(event) {
    const file = event.target.files[0]
    event.target.value = ''
    if (!file || photos.length >= MOST_PHOTOS) return
    const picture = await createImageBitmap(file)
    const scale = Math.min(1, LARGEST_PX / Math.max(picture.width, picture.height))
    const canvas = el('canvas', { width: Math.round(picture.width * scale), height: Math.round(picture.height * scale) })
    canvas.getContext('2d').drawImage(picture, 0, 0, canvas.width, canvas.height)
    const photo = { key: KEY, name: `field-${nowText().replaceAll(':', '')}.jpg`, base64: canvas.toDataURL('image/jpeg', JPEG).split(',')[1] }
    const photosStore = await store('readwrite')
    if (photosStore === null) storageFails = true
    else photo.id = await asked(photosStore.add(photo))
    photos.push(photo)
    warn()
    draw()
  }
  function draw() {
    gallery.replaceChildren(
      ...photos.map((photo) =>
        el(
          'figure',
          {},
          el('img', { src: `data:image/jpeg;base64,${photo.base64}`, alt: photo.name }),
          el('button', { type: 'button', 'aria-label': `Remove ${photo.name}`, onclick: () => void remove(photo) }, 'Remove'),
        ),
      ),
    )
    count()
  }
  async function remove(photo) {
    photos = photos.filter((one) => one !== photo)
    const photosStore = await store('readwrite')
    if (photosStore !== null && photo.id !== undefined) photosStore.delete(photo.id)
    draw()
  }

  // Given back.
  const problem = el('p', { class: 'band', role: 'status' })
  const text = el('textarea', { rows: 5, readonly: true, hidden: true, 'aria-label': 'To be given back' })
  const buttons = [
    el('button', { type: 'button', class: 'main', onclick: save }, 'Save the file'),
    el('button', { type: 'button', onclick: copy }, 'As text'),
    ...(navigator.canShare ? [el('button', { type: 'button', onclick: () => void share() }, 'Share')] : []),
  ]
  main.append(el('h2', {}, 'Give it back to the bench'), problem, el('div', { class: 'row' }, ...buttons), text)

  const items = [...pack.tests, ...pack.checks]
  const keyOf = (item) => `${item.intent}/${JSON.stringify(item.told)}`
  const isAnswered = (item) => {
    const { passed, shows } = answerOf(keyOf(item))
    return passed !== null || shows !== ''
  }
  /** Of what was answered, what nobody described: a check without that proves nothing. */
  const undescribed = () =>
    items.filter((item) => isAnswered(item) && answerOf(keyOf(item)).observed.trim() === '' && answerOf(keyOf(item)).shows === '')
  function count() {
    const seen = items.filter(isAnswered).length
    const parts = [`${seen} of ${items.length} seen`, kept.note.trim() === '' ? '' : 'a note', photos.length === 0 ? '' : `${photos.length} pictures`]
    const missing = undescribed()
    const says = [parts.filter(Boolean).join(', ') + '.']
    if (seen > 0 && kept.by.trim() === '') says.push('Who looked is not said yet: without it the bench does not take it.')
    if (missing.length > 0) says.push(`What was seen is not said yet: ${missing.map((item) => item.title).join(', ')}.`)
    problem.textContent = says.join(' ')
    const isReady = (seen > 0 || kept.note.trim() !== '' || photos.length > 0) && says.length === 1
    for (const button of buttons) button.disabled = !isReady
  }
  function given() {
    const seen = items.filter(isAnswered).map((item) => {
      const { passed, shows, observed, at } = answerOf(keyOf(item))
      const told = { ...item.told, passed: passed === true, observed: observed.trim(), by: kept.by.trim() }
      return { intent: item.intent, told: shows === '' ? told : { ...told, shows }, at }
    })
    return JSON.stringify({
      linguator_field: 1,
      uid: pack.uid,
      position: pack.position,
      state: pack.state,
      made_at: pack.made_at,
      note: kept.note.trim(),
      seen,
      photos: photos.map(({ name, base64 }) => ({ name, base64 })),
    })
  }
  const fileName = () => `${pack.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}-seen.json`
  function save() {
    const link = el('a', { href: URL.createObjectURL(new Blob([given()], { type: 'application/json' })), download: fileName() })
    link.click()
    URL.revokeObjectURL(link.href)
  }
  function copy() {
    text.hidden = false
    text.value = given()
    text.select()
    navigator.clipboard?.writeText(text.value).catch(() => undefined)
  }
  async function share() {
    const file = new File([given()], fileName(), { type: 'application/json' })
    await navigator.share({ files: [file] }).catch(() => undefined)
  }

  const sheet = el('details', { open: true }, el('summary', {}, 'Set-up sheet'))
  for (const section of pack.sheet)
    sheet.append(
      el('h3', {}, section.title),
      el(
        'dl',
        {},
        ...section.rows.map((row) =>
          el('div', {}, el('dt', {}, row.label), el('dd', { class: row.state === 'attention' ? 'attention' : false }, row.value)),
        ),
      ),
    )
  main.append(sheet)

  warn()
  count()
  void (async () => {
    const photosStore = await store('readonly')
    if (photosStore !== null) photos = await asked(photosStore.index('key').getAll(KEY))
    draw()
  })()
})()
