// Written by "npm run api" from the contract; not to be changed by hand.

/** "coat.#.base" stands for coat.1.base, coat.2.base … */
type Numbered<K extends string> = K extends `${infer A}#${infer B}` ? `${A}${number}${B}` : K;

export interface paths {
  '/api/access': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['access'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/archives': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['takeIn'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/backup.zip': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['backup'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/backups': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['backups'];
    put?: never;
    post: operations['makeBackup'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/backups/{name}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['backupFile'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/backups/{name}/changes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['backupChanges'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/backups/{name}/restored': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['goBack'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/calendar/address': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['calendarAddress'];
    put?: never;
    post: operations['makeCalendarAddress'];
    delete: operations['revokeCalendarAddress'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/calendar/{code}.ics': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['calendar'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/check': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['checkAll'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/days': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['bench'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/days/alarms': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['alarms'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/days/between': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['between'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/days/order': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['orderBench'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/devices': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['devices'];
    put?: never;
    post: operations['addDevice'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/devices/readings': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['readDevice'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/devices/stand-ins/{kind}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['handStandIn'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/devices/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['changeDevice'];
    delete: operations['removeDevice'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/exercises': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['exercises'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/exercises/jobs/{id}/run': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['runExercise'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/exercises/jobs/{id}/score': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['scoreOfExercise'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/exercises/{exercise}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['beginExercise'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['addJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['job'];
    put?: never;
    post?: never;
    delete: operations['deleteJob'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/amounts.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['amounts'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/approaches': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['approaches'];
    put?: never;
    post: operations['searchApproaches'];
    delete: operations['stopApproaches'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/archive.zip': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['archiveJob_1'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/archived': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['archiveJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/box/cutlist': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['cutList'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/box/cutlist.dxf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['dxf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/box/cutlist.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['pdf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/box/cutlist.svg': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['svg'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/box/shapes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['boxShapes'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/casts': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['casts'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/casts/casts.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['madeCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/casts/made': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['made'];
    put?: never;
    post: operations['addMade'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/casts/made/spots': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['addSpot'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/casts/sheet.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['castSheet'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/copies': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['copyJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/days': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['days'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/days.ics': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['jobCalendar'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/days/begun': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['begun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/days/steps.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['stepsCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/diagnosis': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['faults'];
    put?: never;
    post: operations['diagnose'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/diagnosis/cases': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['addCase'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/diagnosis/cases/{number}/outcome': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['endCase'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/dipstick': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['dipstick'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/edits': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['editJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/faces': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['faces'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/filling': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['filling'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/formers.3mf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['formers3mf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/formers.zip': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['formersStl'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/label.3mf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['label3mf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/label.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['castLabel'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/label.stl': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['labelStl'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/log': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['log'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/log/log.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['logCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/log/log.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['logPdf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/looked/{stage}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['lookJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/marks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['marks'];
    put?: never;
    post: operations['paintMarks'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/master.stl': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['masterStl'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/mended': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['makeMended'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/mended.stl': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mendedStl'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/mesh': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mesh'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/model': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['uploadModel'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/model/beside': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['uploadBeside'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/name': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['renameJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/original': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['original'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/partition': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['partition'];
    put?: never;
    post: operations['searchPartition'];
    delete: operations['stopPartition'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/partition/picture': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['pieceMap'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/picture/{fingerprint}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['picture'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/pieces': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['makePieces'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/pieces.3mf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['pieces3mf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/pieces.zip': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['piecesStl'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/proposal': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['proposal'];
    put?: never;
    post: operations['findProposal'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/proposal/picture': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['proposalPicture'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/restored': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['restoreJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/rubbers': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['rubbers'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/section': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['section'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/sheet.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sheet'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/skin/coats/{number}/mesh': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['coat'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/solids/{part}/mesh': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['solidPart'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/stands': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['stands'];
    put?: never;
    post: operations['searchStands'];
    delete: operations['stopStands'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/stands/picture': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['standPicture'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/steps': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['stepJob'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/study': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['study'];
    put?: never;
    post: operations['askStudy'];
    delete: operations['stopStudy'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/study/facets': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['facets'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/variants': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['variants'];
    put?: never;
    post: operations['keepVariant'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/variants/{variant}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['forgetVariant'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{id}/variants/{variant}/taken': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['takeVariant'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{job}/casts/runs': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['beginCast'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{job}/mixed': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mixed'];
    put?: never;
    post: operations['recordMixed'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{job}/mixed/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['strikeOut'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{job}/rehearsals': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['rehearseRun'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/jobs/{job}/runs': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['runsOf'];
    put?: never;
    post: operations['beginRun'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/learned': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['lessons'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/learned/scale-checks': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['checkScale'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/learned/table.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['lessonsCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/learned/{lesson}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['answerLesson'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/mix': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mix'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/months': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['months'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/months/table.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['monthsCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['moulds'];
    put?: never;
    post: operations['addMould'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/labels.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['labelSheets'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/table.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mouldsCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/{code}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['mould'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/{code}/edits': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['editMould'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/{code}/label.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['label'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/{code}/label.png': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['labelPicture'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/moulds/{code}/retired': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['retireMould'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/products': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['products'];
    put?: never;
    post: operations['addProduct'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/products/imported': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['importProducts'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/products/table.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['productsCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/products/table.json': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['productsJson'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/products/{id}/edits': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['editProduct'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/products/{id}/retired': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['retireProduct'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['goingRuns'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['run'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/acts': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['act'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/changes': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['changesOfRun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/ended': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['endRun'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/hand': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['handInRun'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/live': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['liveRun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/lots': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['lotsOfRun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/now': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['nowOfRun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/pictures': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['addRunPicture'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/pictures/{picture}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['runPicture'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/score': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['scoreOfRun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/section': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['sectionOfRun'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/runs/{id}/speed': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['hurryRun'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/shelf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['shelf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/shelf/demo': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post?: never;
    delete: operations['removeDemo'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/shopping': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['shopping'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/shopping/list.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['shoppingCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/shopping/list.pdf': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['shoppingPdf'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/stock': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['stock'];
    put?: never;
    post: operations['addLot'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/stock/table.csv': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['stockCsv'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/stock/{id}/edits': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['editLot'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/stock/{id}/gone': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['goneLot'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/tasks/{id}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['task'];
    put?: never;
    post?: never;
    delete: operations['cancelTask'];
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/together': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['groups'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/together/{product}': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['together'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/together/{product}/mixed': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['recordTogether'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/workshop': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get: operations['workshop'];
    put?: never;
    post?: never;
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
  '/api/workshop/edits': {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    get?: never;
    put?: never;
    post: operations['editWorkshop'];
    delete?: never;
    options?: never;
    head?: never;
    patch?: never;
    trace?: never;
  };
}
export type webhooks = Record<string, never>;
export interface components {
  schemas: {
    AccessView: {
      initials: string;
    };
    Act: {
      /** Format: int64 */
      agoMs: number;
      /** @enum {string} */
      foam?: 'RISES' | 'FALLEN' | 'OVER_THE_RIM';
      id: string;
      key?: string;
      /** @enum {string} */
      kind:
        | 'TICK'
        | 'GATE'
        | 'VERDICT'
        | 'GRAMS'
        | 'TARE'
        | 'LEVEL'
        | 'FOAM'
        | 'STILL_BASE'
        | 'START_OVER'
        | 'RESULT'
        | 'SHARE'
        | 'REPLAN'
        | 'LEAVE_OUT'
        | 'CORRECT'
        | 'LOT'
        | 'SCALE';
      /** Format: int32 */
      number?: number;
      /** @enum {string} */
      part?: 'BASE' | 'HARDENER' | 'ADDITIVE';
      /** @enum {string} */
      result?: 'GOOD' | 'REPAIR' | 'SCRAP' | 'CLEANING' | 'STRUCK';
      value?: string;
      /** Format: int32 */
      which?: number;
      who?: string;
      why?: string;
      yes?: boolean;
    };
    Alarm: {
      at: string;
      job: string;
      name: string;
      text: string;
    };
    AlarmsResponse: {
      alarms: components['schemas']['Alarm'][];
      now: string;
    };
    Answer: {
      facts: {
        [key: string]: string;
      };
      text: string;
    };
    Answered: {
      /** @enum {string} */
      deed: 'TAKEN' | 'REFUSED' | 'FORGOTTEN';
      who?: string;
    };
    /** @enum {string} */
    ApproachFigure:
      | 'air'
      | 'cast'
      | 'casts'
      | 'clean'
      | 'core'
      | 'locked'
      | 'mass'
      | 'money'
      | 'open'
      | 'pieces'
      | 'pot'
      | 'poured'
      | 'rubber'
      | 'seam'
      | 'stretch'
      | 'vents'
      | 'work';
    ApproachView: {
      edits: components['schemas']['Edit'][];
      figures: {
        [
          key in Numbered<components['schemas']['ApproachFigure']>
        ]?: components['schemas']['Figure'];
      };
      kind: string;
      now: boolean;
      picture: string;
      reason: string;
      title: string;
    };
    ApproachesResponse: {
      approaches: components['schemas']['ApproachView'][];
      says: string;
      work: components['schemas']['WorkView'];
    };
    Arrived: {
      id: string;
      name: string;
    };
    AssumedView: {
      confirm?: components['schemas']['Edit'];
      stage: string;
      text: string;
      word?: string;
    };
    AttitudeView: {
      edits: components['schemas']['Edit'][];
      figures: {
        [key in Numbered<components['schemas']['LyingFigure']>]?: components['schemas']['Figure'];
      };
      held: string;
      now: boolean;
      pot: string;
      text: string;
    };
    BackupChanges: {
      back: string[];
      holds: string;
      lost: string[];
    };
    BackupList: {
      backups: components['schemas']['BackupView'][];
      data: string;
      start: string;
    };
    BackupView: {
      at: string;
      holds: string;
      name: string;
      size: string;
    };
    Batch: {
      into: string[];
      key: string;
    };
    BatchView: {
      cup: boolean;
      /** Format: double */
      drawnMm?: number;
      expected: string;
      first: string;
      /** @enum {string} */
      foam?: 'RISES' | 'FALLEN' | 'OVER_THE_RIM';
      key: string;
      level?: components['schemas']['LevelView'];
      mayTakeBase: boolean;
      name: string;
      poured: boolean;
      stillBase: boolean;
      turned: boolean;
    };
    Batches: {
      each: components['schemas']['PlannedBatch'][];
      fewer: string[];
      reason: string;
    };
    BegunThen: {
      begin: string;
      says: string;
    };
    BenchBar: {
      /** Format: int32 */
      day: number;
      /** Format: int32 */
      from: number;
      hands: boolean;
      label: string;
      /** Format: int32 */
      to: number;
    };
    BenchJob: {
      back?: components['schemas']['DaysBack'];
      bars: components['schemas']['BenchBar'][];
      begin: string;
      finish: string;
      fits: boolean;
      id: string;
      later: string;
      name: string;
    };
    BenchResponse: {
      days: components['schemas']['DayView'][];
      jobs: components['schemas']['BenchJob'][];
      shares: components['schemas']['Share'][];
      tools: components['schemas']['Tool'][];
      waiting: components['schemas']['WaitingJob'][];
    };
    Between: {
      could: string[];
      /** Format: int32 */
      free: number;
      from: string;
      planned: string[];
      to: string;
    };
    /** @enum {string} */
    BoxFigure: 'rubber' | 'saved' | 'sheet' | 'thinnest';
    BoxKind: {
      cupped: boolean;
      ofPipe: boolean;
      onPlate: boolean;
      poured: boolean;
      sided: boolean;
    };
    BoxView: {
      edits: components['schemas']['Edit'][];
      figures: {
        [key in Numbered<components['schemas']['BoxFigure']>]?: components['schemas']['Figure'];
      };
      now: boolean;
      own: boolean;
      shape: string;
      text: string;
    };
    BrushingView: {
      /** Format: double */
      closesMin: number;
      /** Format: double */
      fromMin: number;
      missed: string;
      /** Format: int32 */
      number: number;
      /** Format: double */
      opensMin: number;
      /** Format: double */
      toMin: number;
      window: string;
    };
    CalendarAddress: {
      path: string;
    };
    Candidate: {
      costOfCast?: components['schemas']['Figure'];
      fits: boolean;
      name: string;
      product: string;
      /** Format: double */
      score: number;
      text: string;
    };
    CaseOutcome: {
      wasIt: boolean;
      who?: string;
    };
    CastDay: {
      /** Format: int64 */
      ms: number;
      text: string;
    };
    CastDeed: {
      at: string;
      what: string;
    };
    CastLabelView: {
      /** Format: double */
      heightMm: number;
      letters: string;
      lines: string[];
      where: string;
      /** Format: double */
      widthMm: number;
    };
    CastPoint: {
      /** Format: int32 */
      casts: number;
      /** Format: int64 */
      lateMs: number;
      /** Format: int64 */
      ms: number;
      /** Format: int64 */
      soonMs: number;
    };
    CastRow: {
      chosen: boolean;
      cost: string;
      done: string;
      each: string;
      heldUp: string;
      /** Format: int32 */
      moulds: number;
      promise: string;
      /** Format: int32 */
      used: number;
    };
    CastSpot: {
      /** Format: int32 */
      number: number;
      place: string;
      who?: string;
    };
    CastsResponse: {
      amount: string;
      closing: string;
      days: components['schemas']['CastDay'][];
      deeds: components['schemas']['CastDeed'][];
      deedsOn: string;
      each: string;
      factor?: components['schemas']['OwnFactor'];
      missing: string;
      packs: string[];
      points: components['schemas']['CastPoint'][];
      rows: components['schemas']['CastRow'][];
      start: string;
      /** Format: int64 */
      startMs: number;
    };
    CauseRanked: {
      against: string[];
      begins: string;
      /** @enum {string} */
      cause:
        | 'INHIBITED'
        | 'SHORT_OF_HARDENER'
        | 'TOO_MUCH_HARDENER'
        | 'NOT_MIXED'
        | 'TOO_COLD'
        | 'OLD_STOCK'
        | 'TOO_EARLY'
        | 'THICK_CONDENSATION'
        | 'AIR_TRAPPED'
        | 'NOT_DEGASSED'
        | 'POURED_FAST'
        | 'BUBBLES_IN_RUBBER'
        | 'MASTER_HAD_THEM'
        | 'WEB_NOT_CUT'
        | 'LOCKED'
        | 'THIN_WALL'
        | 'TOO_TIGHT'
        | 'TOO_FEW_KEYS'
        | 'MOVED_BETWEEN_POURS'
        | 'WINDOW_MISSED'
        | 'OTHER_CHEMISTRY'
        | 'DUSTY'
        | 'RUBBER_BONDED'
        | 'KEYS_LOCK'
        | 'GELLED_EARLY'
        | 'MIXED_TOO_LITTLE'
        | 'MOULD_WET'
        | 'MOULD_INHIBITS'
        | 'OLD_ISOCYANATE'
        | 'DAMP_AIR'
        | 'NO_PRESSURE'
        | 'STORED_BENT'
        | 'SHRINKAGE'
        | 'MOULD_SHRUNK';
      fix?: components['schemas']['Fix'];
      forIt: string[];
      habit?: components['schemas']['HabitWord'];
      next: string;
      now: string;
      /** Format: double */
      points: number;
      score: string;
      stage: string;
      text: string;
    };
    Caution: {
      fixes: components['schemas']['Fix'][];
      id: string;
      /** @enum {string} */
      level: 'STOP' | 'CHECK' | 'NOTE';
      place?: components['schemas']['Place'];
      stage: string;
      text: string;
      title: string;
    };
    Change: {
      stages: string[];
      what: string;
    };
    ChannelView: {
      path: components['schemas']['PlaceView'][];
    };
    Checked: {
      /** Format: int32 */
      casts: number;
      /** Format: int32 */
      jobs: number;
      /** Format: int32 */
      runs: number;
      wrong: string[];
    };
    ClockView: {
      from: string;
      /** Format: int64 */
      fromMs: number;
      key: string;
      label: string;
      rings: components['schemas']['RingView'][];
      until: string;
      /** Format: int64 */
      untilMs: number;
      /** @enum {string} */
      what: 'POT_LIFE' | 'WAIT' | 'WINDOW';
    };
    CoatClockView: {
      coats: components['schemas']['BrushingView'][];
      days: string[];
    };
    CoatView: {
      cloth: boolean;
      gap: string;
      key: string;
      name: string;
      /** Format: int32 */
      number: number;
      rubber: string;
      thickener: string;
      thickness: string;
    };
    Cup: {
      /** Format: double */
      high: number;
      layers: components['schemas']['Layer'][];
      /** Format: double */
      low: number;
      /** Format: double */
      mark: number;
    };
    CutListResponse: {
      besides: string[];
      parts: components['schemas']['PartView'][];
    };
    CutView: {
      /** Format: double */
      degrees: number;
      /** Format: double */
      stepDegrees: number;
    };
    DayHours: {
      /** Format: int32 */
      from: number;
      /** Format: int32 */
      to: number;
    };
    DayPiece: {
      /** Format: int32 */
      day: number;
      /** Format: int32 */
      from: number;
      /** Format: int32 */
      to: number;
    };
    DayTaken: {
      /** Format: int32 */
      from: number;
      /** Format: int32 */
      to: number;
    };
    DayView: {
      date: string;
      hours: components['schemas']['DayHours'][];
      name: string;
      taken: components['schemas']['DayTaken'][];
      text: string;
      today: boolean;
    };
    DaysBack: {
      at: string;
      what: string;
    };
    DaysNote: {
      step: string;
      text: string;
      title: string;
    };
    DaysOffer: {
      button: string;
      edits: components['schemas']['Edit'][];
      hours: components['schemas']['Edit'][];
      text: string;
    };
    DaysResponse: {
      back?: components['schemas']['DaysBack'];
      begin: string;
      chain: string[];
      days: components['schemas']['DayView'][];
      held: boolean;
      notes: components['schemas']['DaysNote'][];
      offers: components['schemas']['DaysOffer'][];
      rule: string;
      schools: components['schemas']['SchoolView'][];
      steps: components['schemas']['PlacedStep'][];
      told?: components['schemas']['DaysTold'];
    };
    DaysTold: {
      finish: components['schemas']['Figure'];
      hands: components['schemas']['Figure'];
      waits: components['schemas']['Figure'];
    };
    Deed: {
      deed: string;
    };
    DeedDone: {
      said: string;
    };
    Degas: {
      enough: boolean;
      headline: string;
      text: string;
    };
    DeviceView: {
      address: string;
      builtIn: boolean;
      counts: boolean;
      heard: boolean;
      id: string;
      /** Format: int64 */
      ignored: number;
      /** @enum {string} */
      kind: 'SCALE' | 'GAUGE' | 'ROOM';
      name: string;
      says: string;
      text: string;
      trouble: string;
    };
    DiagnosisResponse: {
      causes: components['schemas']['CauseRanked'][];
      known: components['schemas']['FactKnown'][];
      place?: components['schemas']['FaultPlace'];
      questions: components['schemas']['Question'][];
    };
    Dimension: {
      /** Format: double */
      from: number;
      /** @enum {string} */
      of:
        | 'LEFT_WALL'
        | 'RIGHT_WALL'
        | 'FRONT_WALL'
        | 'BACK_WALL'
        | 'LENGTH'
        | 'WIDTH'
        | 'HEIGHT'
        | 'ACROSS'
        | 'LIFT'
        | 'OVER_TOP'
        | 'PARTING'
        | 'RISER_LEFT'
        | 'RISER_RIGHT'
        | 'SKIN_WALL'
        | 'FLANGE';
      /** Format: int32 */
      row: number;
      /** @enum {string} */
      side: 'BELOW' | 'LEFT';
      text: string;
      /** Format: double */
      to: number;
    };
    DipstickView: {
      /** Format: double */
      heightMm: number;
      line: components['schemas']['Reading'];
      /** Format: double */
      lineMm: number;
      /** Format: double */
      masterTopMm: number;
      parting?: components['schemas']['Reading'];
      ticks: components['schemas']['Tick'][];
    };
    Due: {
      at: string;
      late: string;
      what: string;
    };
    Edit: {
      /** Format: int32 */
      nudge?: number;
      text?: string;
      word: string;
    };
    EntryView: {
      at: string;
      correctable: boolean;
      counts: boolean;
      /** Format: int32 */
      number: number;
      step: string;
      text: string;
      who: string;
    };
    ExerciseBegun: {
      job: string;
      stage: string;
    };
    ExerciseRun: {
      run?: string;
    };
    ExerciseScore: {
      score?: components['schemas']['ShapeScore'];
      task: string;
      title: string;
    };
    ExerciseView: {
      bench: boolean;
      /** @enum {string} */
      key: 'LEAST_AIR' | 'TWO_VENTS' | 'RATIO' | 'POT_LIFE' | 'WINDOW';
      task: string;
      title: string;
    };
    FactKnown: {
      fact: string;
      text: string;
    };
    FaultAsked: {
      answers: {
        [key: string]: string;
      };
      /** Format: int32 */
      cast: number;
      /** @enum {string} */
      seen:
        | 'TACKY_AT_MASTER'
        | 'TACKY_ALL'
        | 'STREAKS'
        | 'SOFT'
        | 'HOLES_SAME_PLACE'
        | 'HOLES_ANYWHERE'
        | 'PIMPLES'
        | 'TORN'
        | 'STEP_AND_FLASH'
        | 'PEELING'
        | 'STUCK'
        | 'SHORT_SHOT'
        | 'CAST_TACKY'
        | 'CAST_BENT'
        | 'CAST_FOAMED'
        | 'CAST_SMALL'
        | 'CAST_POROUS';
    };
    FaultCase: {
      at: string;
      /** Format: int32 */
      cast: number;
      cause: string;
      id: string;
      seen: string;
      wasIt?: boolean;
      who: string;
    };
    FaultPlace: {
      told: string[];
      /** Format: double */
      x: number;
      /** Format: double */
      y: number;
      /** Format: double */
      z: number;
    };
    FaultSeen: {
      /** @enum {string} */
      seen:
        | 'TACKY_AT_MASTER'
        | 'TACKY_ALL'
        | 'STREAKS'
        | 'SOFT'
        | 'HOLES_SAME_PLACE'
        | 'HOLES_ANYWHERE'
        | 'PIMPLES'
        | 'TORN'
        | 'STEP_AND_FLASH'
        | 'PEELING'
        | 'STUCK'
        | 'SHORT_SHOT'
        | 'CAST_TACKY'
        | 'CAST_BENT'
        | 'CAST_FOAMED'
        | 'CAST_SMALL'
        | 'CAST_POROUS';
      text: string;
    };
    FaultsResponse: {
      cases: components['schemas']['FaultCase'][];
      seen: components['schemas']['FaultSeen'][];
    };
    Figure: {
      exact: string;
      key: string;
      label: string;
      text: string;
      /** Format: double */
      value: number;
      working: components['schemas']['Working'];
    };
    FilmAir: {
      /** Format: double */
      across: number;
      /** Format: double */
      mm3: number;
      /** Format: double */
      up: number;
      volume: string;
    };
    FilmEnd: {
      /** Format: double */
      across: number;
      late: boolean;
      text: string;
      /** Format: double */
      up: number;
    };
    FilmPoint: {
      /** Format: double */
      afterS: number;
      /** Format: double */
      alongMm: number;
      /** Format: double */
      levelMm: number;
      /** Format: double */
      mm3: number;
      text: string;
    };
    FilmShape: {
      rings: number[][];
      /** @enum {string} */
      role: 'AROUND' | 'ROOM' | 'BODY' | 'AIR' | 'WAY';
    };
    FilmView: {
      course: components['schemas']['FilmPoint'][];
      ends: components['schemas']['FilmEnd'][];
      says: string;
      sealed: components['schemas']['FilmAir'][];
      shapes: components['schemas']['FilmShape'][];
    };
    Fix: {
      edits: components['schemas']['Edit'][];
      label: string;
      price: string;
    };
    Given: {
      name: string;
      /** @enum {string} */
      source: 'SHEET' | 'MEASURED' | 'CHOSEN' | 'DEFAULT' | 'LEARNED' | 'COMPUTED';
      text: string;
    };
    GroupView: {
      moulds: components['schemas']['MouldView'][];
      name: string;
      product: string;
    };
    GroupsView: {
      groups: components['schemas']['GroupView'][];
      missing: string[];
    };
    HabitWord: {
      now: string;
      text: string;
      word: string;
    };
    Handed: {
      deed: string;
      /** @enum {string} */
      kind: 'SCALE' | 'GAUGE' | 'ROOM';
    };
    HandedDone: {
      said: string;
    };
    Imported: {
      /** Format: int32 */
      added: number;
      /** Format: int32 */
      changed: number;
      /** Format: int32 */
      same: number;
    };
    JobEdits: {
      edits: components['schemas']['Edit'][];
      /** Format: int32 */
      version: number;
    };
    /** @enum {string} */
    JobFigure:
      | 'air.cast'
      | 'air.poured'
      | 'all.additive'
      | 'all.also'
      | 'all.base'
      | 'all.hardener'
      | 'all.total'
      | 'batch.#.by'
      | 'batch.#.fill'
      | 'batch.#.latest'
      | 'batch.#.level'
      | 'batch.#.line'
      | 'batch.#.start'
      | 'batch.count'
      | 'batch.minutes'
      | 'box.cost'
      | 'box.inside'
      | 'box.level'
      | 'box.outside'
      | 'box.seal'
      | 'box.thinnest'
      | 'buy.#'
      | 'cast.also'
      | 'cast.bubble'
      | 'cast.fill'
      | 'cast.filler'
      | 'cast.first'
      | 'cast.firstLine'
      | 'cast.last'
      | 'cast.mass'
      | 'cast.mixed'
      | 'cast.more'
      | 'cast.opens'
      | 'cast.potLife'
      | 'cast.price'
      | 'cast.second'
      | 'cast.secondLine'
      | 'cast.shots'
      | 'cast.total'
      | 'cast.volume'
      | 'coat.#.base'
      | 'coat.#.flat'
      | 'coat.#.hardener'
      | 'coat.#.mass'
      | 'coat.#.thickener'
      | 'coat.#.volume'
      | 'core.opening'
      | 'core.pins'
      | 'core.stretch'
      | 'core.volume'
      | 'cost.cast'
      | 'cost.job'
      | 'cut.area'
      | 'cut.clean'
      | 'cut.locked'
      | 'cut.seam'
      | 'cut.shallowest'
      | 'cut.towards'
      | 'fits.boards'
      | 'fits.chamber'
      | 'fits.pot'
      | 'jacket.area'
      | 'jacket.bolts'
      | 'jacket.cost'
      | 'jacket.hands'
      | 'jacket.locators'
      | 'jacket.locked'
      | 'jacket.mass'
      | 'jacket.need.#'
      | 'jacket.ready'
      | 'jacket.seam'
      | 'jacket.sections'
      | 'jacket.thick'
      | 'jacket.withSkin'
      | 'job.hands'
      | 'job.open'
      | 'label.rubber'
      | 'label.size'
      | 'label.volume'
      | 'later.additive'
      | 'later.also'
      | 'later.base'
      | 'later.hardener'
      | 'laterRest.additive'
      | 'laterRest.also'
      | 'laterRest.base'
      | 'laterRest.hardener'
      | 'life.casts'
      | 'life.moulds'
      | 'locks.stretch'
      | 'locks.two'
      | 'locks.volume'
      | 'master.mass'
      | 'master.size'
      | 'master.volume'
      | 'master.volume.grain'
      | 'master.volume.hung'
      | 'master.volume.immersion'
      | 'master.volume.model'
      | 'master.volume.overflow'
      | 'master.volume.solid'
      | 'master.volume.weight'
      | 'mix.additive'
      | 'mix.also'
      | 'mix.base'
      | 'mix.baseVolume'
      | 'mix.hardener'
      | 'mix.hardenerVolume'
      | 'mix.second'
      | 'mix.total'
      | 'mix.volume'
      | 'moulds.cost'
      | 'moulds.elapsed'
      | 'moulds.hands'
      | 'moulds.mass'
      | 'moulds.pace'
      | 'offcuts.most'
      | 'parting.clay'
      | 'parting.clean'
      | 'parting.keys'
      | 'parting.level'
      | 'parting.locked'
      | 'parting.lower'
      | 'parting.ring'
      | 'parting.riserLeft'
      | 'parting.riserRight'
      | 'parting.seam'
      | 'parting.upper'
      | 'plate.copies'
      | 'plate.land'
      | 'plate.masters'
      | 'pour.first'
      | 'pump.left'
      | 'rest.additive'
      | 'rest.also'
      | 'rest.base'
      | 'rest.hardener'
      | 'rubber.allowance'
      | 'rubber.box'
      | 'rubber.boxMass'
      | 'rubber.cost'
      | 'rubber.demould'
      | 'rubber.mix'
      | 'rubber.potLife'
      | 'sealing.additive'
      | 'sealing.also'
      | 'sealing.base'
      | 'sealing.hardener'
      | 'site.bucket'
      | 'site.trips'
      | 'size.cast'
      | 'size.lost'
      | 'size.scaleUp'
      | 'skin.area'
      | 'skin.buildWindow'
      | 'skin.cloth'
      | 'skin.cured'
      | 'skin.cut'
      | 'skin.flange'
      | 'skin.hands'
      | 'skin.most'
      | 'skin.pieces'
      | 'skin.plugs'
      | 'skin.steep'
      | 'skin.stretch'
      | 'skin.thinnest'
      | 'skin.wall'
      | 'skin.window'
      | 'sprue.diameter'
      | 'sprue.fill'
      | 'sprue.length'
      | 'vents.rubber'
      | 'vents.volume'
      | 'wall.thinnest';
    JobId: {
      id: string;
    };
    JobName: {
      name?: string;
    };
    JobOrder: {
      jobs: string[];
    };
    JobResponse: {
      archived: boolean;
      assumed: components['schemas']['AssumedView'][];
      batches: components['schemas']['Batches'];
      box: components['schemas']['BoxKind'];
      castLabel?: components['schemas']['CastLabelView'];
      casting: components['schemas']['StepView'][];
      casts: components['schemas']['Offer'][];
      catalysts: components['schemas']['Option'][];
      cautions: components['schemas']['Caution'][];
      cut?: components['schemas']['CutView'];
      demo: boolean;
      dipstick?: components['schemas']['DipstickView'];
      /** @enum {string} */
      exercise?: 'LEAST_AIR' | 'TWO_VENTS' | 'RATIO' | 'POT_LIFE' | 'WINDOW';
      figures: {
        [key in Numbered<components['schemas']['JobFigure']>]?: components['schemas']['Figure'];
      };
      hasShape: boolean;
      id: string;
      /** Format: double */
      liftMm: number;
      marks: components['schemas']['MarkView'][];
      marksKey: string;
      measures: string[];
      model?: components['schemas']['ModelView'];
      name: string;
      order: components['schemas']['StepView'][];
      packs: string[];
      parts: components['schemas']['PlanPartView'][];
      ratioSentence: string;
      redo?: components['schemas']['Change'];
      rubbers: components['schemas']['Offer'][];
      sealants: components['schemas']['Offer'][];
      second?: components['schemas']['SecondPart'];
      shapeKey: string;
      skin?: components['schemas']['SkinView'];
      solids: ('PARTING' | 'CUT' | 'CORE' | 'JACKET')[];
      stages: {
        [key: string]: 'OPEN' | 'DONE' | 'LOOK_AGAIN';
      };
      stopped: string;
      thickeners: components['schemas']['Option'][];
      touching: components['schemas']['TouchView'][];
      undecided: components['schemas']['UndecidedView'][];
      undo?: components['schemas']['Change'];
      /** Format: int32 */
      version: number;
      ways: components['schemas']['WayView'][];
      words: {
        [key in Numbered<components['schemas']['JobWord']>]?: components['schemas']['State'];
      };
    };
    /** @enum {string} */
    JobWord:
      | 'cast.amount.also.density'
      | 'cast.amount.also.dosePct'
      | 'cast.amount.also.name'
      | 'cast.amount.also.of'
      | 'cast.amount.factor'
      | 'cast.amount.filler.density'
      | 'cast.amount.filler.dosePct'
      | 'cast.amount.filler.name'
      | 'cast.amount.filler.of'
      | 'cast.amount.heldMm3'
      | 'cast.amount.insertAcrossMm'
      | 'cast.amount.insertLongMm'
      | 'cast.amount.inserts'
      | 'cast.amount.lastG'
      | 'cast.amount.lossPct'
      | 'cast.amount.masterG'
      | 'cast.amount.packPct'
      | 'cast.amount.riseTimes'
      | 'cast.amount.shellMm'
      | 'cast.amount.way'
      | 'cast.material'
      | 'cast.pressureKpa'
      | 'cast.product'
      | 'cast.series.gaveBefore'
      | 'cast.series.marginPct'
      | 'cast.series.perMix'
      | 'cast.series.releaseEvery'
      | 'cast.series.scrapPct'
      | 'cast.series.spareMm3'
      | 'cast.series.spreadPct'
      | 'cast.series.warmMin'
      | 'cast.wanted'
      | 'channels.resin.density'
      | 'channels.resin.potLifeMin'
      | 'channels.resin.viscosityPas'
      | 'channels.spout'
      | 'channels.sprueMm'
      | 'channels.ventBy'
      | 'channels.ventMm'
      | 'cut.extent'
      | 'cut.towardsDegrees'
      | 'days.begin'
      | 'hollow.wallMm'
      | 'jacket.boltMm'
      | 'jacket.flangeMm'
      | 'jacket.kind'
      | 'jacket.layers'
      | 'jacket.locators'
      | 'jacket.relief'
      | 'jacket.sections'
      | 'jacket.thickMm'
      | 'jacket.turnDegrees'
      | 'label.code'
      | 'label.letterMm'
      | 'label.place'
      | 'label.text'
      | 'lying.also'
      | 'lying.degrees'
      | 'lying.on'
      | 'lying.raised'
      | 'master.fileName'
      | 'master.massG'
      | 'master.material'
      | 'master.measured.castDensity'
      | 'master.measured.castG'
      | 'master.measured.densityErrorPct'
      | 'master.measured.diameterMm'
      | 'master.measured.grainBoxMm3'
      | 'master.measured.grainEmptyMm3'
      | 'master.measured.grainMm3'
      | 'master.measured.heightMm'
      | 'master.measured.hungG'
      | 'master.measured.lengthMm'
      | 'master.measured.levelAfterMm'
      | 'master.measured.levelBeforeMm'
      | 'master.measured.outline'
      | 'master.measured.overflowG'
      | 'master.measured.packingPct'
      | 'master.measured.readingErrorMm'
      | 'master.measured.scaleErrorG'
      | 'master.measured.vessel'
      | 'master.measured.vesselDiameterMm'
      | 'master.measured.vesselHeightMm'
      | 'master.measured.vesselLengthMm'
      | 'master.measured.vesselTopDiameterMm'
      | 'master.measured.vesselWidthMm'
      | 'master.measured.widthMm'
      | 'master.model'
      | 'master.patch'
      | 'master.preparation'
      | 'master.solid.carvedPct'
      | 'master.solid.diameterMm'
      | 'master.solid.girths'
      | 'master.solid.heightMm'
      | 'master.solid.kind'
      | 'master.solid.lengthMm'
      | 'master.solid.profile'
      | 'master.solid.toleranceMm'
      | 'master.solid.topDiameterMm'
      | 'master.solid.tubeDiameterMm'
      | 'master.solid.widthMm'
      | 'master.source'
      | 'master.unitMm'
      | 'master.way'
      | 'master.where'
      | 'mould.backMm'
      | 'mould.filling'
      | 'mould.fixing'
      | 'mould.freeboardMm'
      | 'mould.frontMm'
      | 'mould.insideLengthMm'
      | 'mould.insideWidthMm'
      | 'mould.kind'
      | 'mould.leftMm'
      | 'mould.overTopMm'
      | 'mould.ribSpacingMm'
      | 'mould.rightMm'
      | 'mould.shape'
      | 'mould.sheet'
      | 'mould.sidesMm'
      | 'parting.bedding'
      | 'parting.keying'
      | 'parting.line'
      | 'parting.ring.heightMm'
      | 'parting.ring.offsetMm'
      | 'parting.ring.widthMm'
      | 'parting.riserLeftMm'
      | 'parting.riserRightMm'
      | 'parting.upMm'
      | 'plate.copies'
      | 'plate.landMm'
      | 'plate.laying'
      | 'pose.liftMm'
      | 'rubber.additive.density'
      | 'rubber.additive.dosePct'
      | 'rubber.additive.kind'
      | 'rubber.additive.name'
      | 'rubber.additive.of'
      | 'rubber.allowancePct'
      | 'rubber.also.density'
      | 'rubber.also.dosePct'
      | 'rubber.also.kind'
      | 'rubber.also.name'
      | 'rubber.also.of'
      | 'rubber.batches'
      | 'rubber.bubbles'
      | 'rubber.catalyst'
      | 'rubber.first'
      | 'rubber.firstG'
      | 'rubber.mouldG'
      | 'rubber.moulds'
      | 'rubber.offcutsMm3'
      | 'rubber.product'
      | 'rubber.ratio'
      | 'rubber.ratioMeant'
      | 'rubber.sealingMm'
      | 'rubber.secondG'
      | 'site.degreesC'
      | 'site.place'
      | 'site.tripG'
      | 'site.wind'
      | 'skin.buildMm'
      | 'skin.buildProduct'
      | 'skin.clothAfter'
      | 'skin.detailMm'
      | 'skin.flangeMm'
      | 'skin.lossPct'
      | 'skin.opening'
      | 'skin.recoat'
      | 'skin.smoothingMm'
      | 'skin.thickener'
      | 'skin.wallMm'
      | 'units.display'
      | 'units.gallon'
      | 'weights.ease'
      | 'weights.finish'
      | 'weights.money'
      | 'weights.time';
    Layer: {
      first: boolean;
      name: string;
      /** Format: double */
      top: number;
    };
    LessonJob: {
      job?: string;
      name: string;
      outOfLine: boolean;
      said: string;
      /** Format: double */
      value: number;
    };
    LessonMethod: {
      /** Format: int32 */
      jobs: number;
      middleSaid: string;
      name: string;
    };
    LessonView: {
      jobs: components['schemas']['LessonJob'][];
      lesson: string;
      methods: components['schemas']['LessonMethod'][];
      /** Format: double */
      middle?: number;
      middleSaid: string;
      /** Format: int32 */
      needs: number;
      now: string;
      /** Format: double */
      nowValue: number;
      offer: string;
      /** Format: double */
      offerValue?: number;
      /** Format: double */
      spread?: number;
      /** @enum {string} */
      standing: 'TOO_FEW' | 'SAME' | 'OFFERED' | 'REFUSED' | 'TAKEN' | 'TOLD';
      text: string;
      told: string;
    };
    LevelView: {
      lookAt: string[];
      said: string;
      /** @enum {string} */
      verdict: 'WITHIN' | 'SHORT' | 'LONG';
    };
    LineView: {
      jobs: string[];
      left: string;
      name: string;
      needed: components['schemas']['Figure'];
      packs: string;
      price?: components['schemas']['Figure'];
      product: string;
      there: components['schemas']['Figure'];
      toBuy: components['schemas']['Figure'];
      unknown: string;
    };
    Live: {
      clock: string;
      degas?: components['schemas']['Degas'];
      elsewhere: string;
      gauge: string;
      laden: boolean;
      /** Format: int64 */
      now: number;
      others: components['schemas']['Scale'][];
      room: string;
      scale: string;
      scaleSays: string;
      scaleThere: boolean;
      settled: boolean;
      /** Format: double */
      speed: number;
      trend: number[];
      /** Format: int32 */
      version: number;
      weighing?: components['schemas']['Weighing'];
    };
    LogKind: {
      /** @enum {string} */
      kind: 'WEIGHED' | 'DONE' | 'CHECKED' | 'CAST' | 'NOTED' | 'DECIDED' | 'DEVICE';
      text: string;
    };
    LogResponse: {
      /** Format: int32 */
      differences: number;
      kinds: components['schemas']['LogKind'][];
      lines: components['schemas']['LogView'][];
    };
    LogView: {
      actual: string;
      at: string;
      day: string;
      /** @enum {string} */
      kind: 'WEIGHED' | 'DONE' | 'CHECKED' | 'CAST' | 'NOTED' | 'DECIDED' | 'DEVICE';
      off: string;
      part: string;
      picture: string;
      planned: string;
      run: string;
      struck: string;
      what: string;
      who: string;
    };
    LotEdits: {
      edits: components['schemas']['Edit'][];
      /** Format: int32 */
      version: number;
    };
    LotView: {
      drift: string;
      id: string;
      /** @enum {string} */
      keeping: 'FINE' | 'SOON' | 'OVER';
      until: string;
      /** Format: int32 */
      version: number;
      words: {
        [key in Numbered<components['schemas']['LotWord']>]?: components['schemas']['State'];
      };
    };
    /** @enum {string} */
    LotWord: 'baseLeftG' | 'hardenerLeftG' | 'number' | 'opened' | 'received' | 'useBy';
    /** @enum {string} */
    LyingFigure: 'left' | 'rubber' | 'vents' | 'without';
    MadeResponse: {
      casts: components['schemas']['MadeView'][];
      /** Format: int32 */
      cleanings: number;
      lastG: string;
      moulds: components['schemas']['MouldGave'][];
      /** Format: int32 */
      repair: number;
      /** Format: int32 */
      scrap: number;
      /** Format: int32 */
      usable: number;
    };
    MadeView: {
      at: string;
      mass: string;
      /** Format: int32 */
      mould: number;
      /** Format: int32 */
      number: number;
      /** @enum {string} */
      result: 'GOOD' | 'REPAIR' | 'SCRAP' | 'CLEANING' | 'STRUCK';
      spot?: components['schemas']['Vec3'];
      struck: string;
      who: string;
      why: string;
    };
    Mark: {
      /** Format: int32 */
      lost: number;
      says: string;
      /** @enum {string} */
      subject: 'GATE' | 'RATIO' | 'POT_LIFE' | 'LEVEL' | 'WINDOW';
    };
    MarkView: {
      area: string;
      /** @enum {string} */
      mark: 'KEEP_CLEAN' | 'BASE' | 'THREAD' | 'PLUG' | 'FRAGILE';
      meaning: string;
      text: string;
    };
    /** @enum {string} */
    MixFigure:
      'now.base' | 'now.hardener' | 'now.potLife' | 'now.second' | 'now.total' | 'now.volume';
    MixNow: {
      figures: {
        [key in Numbered<components['schemas']['MixFigure']>]?: components['schemas']['Figure'];
      };
      now: string;
      sentence: string;
      stop: string;
    };
    MixedAnswer: {
      mixed: components['schemas']['MixedView'][];
      said: string;
    };
    MixedView: {
      again: boolean;
      id: string;
      name: string;
      /** Format: int32 */
      number?: number;
      planned: string;
      text: string;
    };
    ModelView: {
      defects: string[];
      format: string;
      guessedUnit?: string;
      lines: string[];
      name: string;
      size: string;
    };
    MonthView: {
      hands: string;
      month: string;
      /** Format: int32 */
      moulds: number;
      otherwise: components['schemas']['Otherwise'][];
      rubber: string;
      /** Format: double */
      rubberG: number;
      /** Format: int32 */
      scrap: number;
      scrapShare: string;
      thrown: string;
      /** Format: int32 */
      usable: number;
    };
    MouldEdits: {
      edits: components['schemas']['Edit'][];
      who?: string;
    };
    MouldGave: {
      /** Format: int32 */
      casts: number;
      code: string;
      filled: number[];
      /** Format: int32 */
      gives: number;
      /** Format: int32 */
      mould: number;
    };
    MouldList: {
      counts: {
        [key: string]: number;
      };
      /** Format: int32 */
      found: number;
      moulds: components['schemas']['MouldListed'][];
    };
    MouldListed: {
      anew: string;
      code: string;
      /** @enum {string} */
      condition: 'GOOD' | 'WORN' | 'TORN' | 'LOOK';
      /** Format: int32 */
      gave: number;
      gives: string;
      job?: string;
      left: string;
      made: string;
      /** Format: int32 */
      number: number;
      of: string;
      place: string;
      rubber: string;
      used: string;
      /** @enum {string} */
      wear: 'UNKNOWN' | 'FINE' | 'SOON' | 'OVER';
      why: string;
    };
    MouldResponse: {
      aged: string;
      master: string;
      mould: components['schemas']['MouldListed'];
      pace: string;
      retired?: string;
      run?: string;
      said: components['schemas']['MouldSaid'][];
      words: {
        [key in Numbered<components['schemas']['MouldWord']>]?: components['schemas']['State'];
      };
      worn: string;
    };
    MouldSaid: {
      at: string;
      said: string;
      what: string;
      who: string;
    };
    MouldView: {
      id: string;
      name: string;
      volume: components['schemas']['Figure'];
    };
    /** @enum {string} */
    MouldWord:
      | 'condition'
      | 'expects'
      | 'gaveBefore'
      | 'jacket'
      | 'lasts'
      | 'lot'
      | 'made'
      | 'note'
      | 'of'
      | 'place'
      | 'rubber';
    NewCase: {
      answers: {
        [key: string]: string;
      };
      /** Format: int32 */
      cast: number;
      /** @enum {string} */
      cause:
        | 'INHIBITED'
        | 'SHORT_OF_HARDENER'
        | 'TOO_MUCH_HARDENER'
        | 'NOT_MIXED'
        | 'TOO_COLD'
        | 'OLD_STOCK'
        | 'TOO_EARLY'
        | 'THICK_CONDENSATION'
        | 'AIR_TRAPPED'
        | 'NOT_DEGASSED'
        | 'POURED_FAST'
        | 'BUBBLES_IN_RUBBER'
        | 'MASTER_HAD_THEM'
        | 'WEB_NOT_CUT'
        | 'LOCKED'
        | 'THIN_WALL'
        | 'TOO_TIGHT'
        | 'TOO_FEW_KEYS'
        | 'MOVED_BETWEEN_POURS'
        | 'WINDOW_MISSED'
        | 'OTHER_CHEMISTRY'
        | 'DUSTY'
        | 'RUBBER_BONDED'
        | 'KEYS_LOCK'
        | 'GELLED_EARLY'
        | 'MIXED_TOO_LITTLE'
        | 'MOULD_WET'
        | 'MOULD_INHIBITS'
        | 'OLD_ISOCYANATE'
        | 'DAMP_AIR'
        | 'NO_PRESSURE'
        | 'STORED_BENT'
        | 'SHRINKAGE'
        | 'MOULD_SHRUNK';
      id: string;
      /** @enum {string} */
      seen:
        | 'TACKY_AT_MASTER'
        | 'TACKY_ALL'
        | 'STREAKS'
        | 'SOFT'
        | 'HOLES_SAME_PLACE'
        | 'HOLES_ANYWHERE'
        | 'PIMPLES'
        | 'TORN'
        | 'STEP_AND_FLASH'
        | 'PEELING'
        | 'STUCK'
        | 'SHORT_SHOT'
        | 'CAST_TACKY'
        | 'CAST_BENT'
        | 'CAST_FOAMED'
        | 'CAST_SMALL'
        | 'CAST_POROUS';
      who?: string;
    };
    NewDevice: {
      address: string;
      /** @enum {string} */
      kind: 'SCALE' | 'GAUGE' | 'ROOM';
      name?: string;
    };
    NewLot: {
      mass?: string;
      product: string;
    };
    NewMade: {
      id: string;
      mass?: string;
      /** Format: int32 */
      mould: number;
      /** @enum {string} */
      result: 'GOOD' | 'REPAIR' | 'SCRAP' | 'CLEANING' | 'STRUCK';
      /** Format: int32 */
      strikes?: number;
      who?: string;
      why?: string;
    };
    NewMixed: {
      base?: string;
      /** Format: int32 */
      batch: number;
      hardener?: string;
    };
    NewMould: {
      job?: string;
      of?: string;
    };
    NewProduct: {
      copyOf?: string;
      name?: string;
    };
    Offer: {
      id: string;
      name: string;
      summary: string;
    };
    Option: {
      text: string;
      value: string;
    };
    Otherwise: {
      /** Format: int32 */
      times: number;
      what: string;
    };
    OwnFactor: {
      factor: string;
      said: string;
    };
    PartView: {
      /** Format: int32 */
      count: number;
      name: string;
      note: string;
      size: string;
    };
    PartitionResponse: {
      pieces: components['schemas']['PieceView'][];
      says: string;
      work: components['schemas']['WorkView'];
    };
    PieceView: {
      freed: components['schemas']['Figure'];
      picture: string;
      pull: string;
    };
    Place: {
      /** Format: double */
      x: number;
      /** Format: double */
      y: number;
      /** Format: double */
      z: number;
    };
    PlaceView: {
      /** Format: double */
      x: number;
      /** Format: double */
      y: number;
      /** Format: double */
      z: number;
    };
    PlacedStep: {
      at: string;
      begin: string;
      end: string;
      from: string;
      group: string;
      key: string;
      /** @enum {string} */
      kind: 'HANDS' | 'WAIT' | 'GATE';
      label: string;
      part: string;
      pieces: components['schemas']['DayPiece'][];
      pinned: boolean;
      takes: components['schemas']['Figure'];
      to: string;
      what: string;
      window?: components['schemas']['DayPiece'];
    };
    PlanChanges: {
      asBegun: string[];
      may: boolean;
      says: string[];
      why: string;
    };
    PlanPartView: {
      /** @enum {string} */
      state: 'KNOWN' | 'BEING_WORKED_OUT' | 'CANNOT_BE_KNOWN';
      text: string;
      why: string;
    };
    PlannedBatch: {
      additives: string[];
      base: string;
      /** Format: int32 */
      batch: number;
      build: boolean;
      hardener: string;
      key: string;
      /** Format: int32 */
      number: number;
      of: string;
      /** Format: int32 */
      pour: number;
    };
    PocketView: {
      /** Format: double */
      sizeMm: number;
      text: string;
      /** Format: double */
      x: number;
      /** Format: double */
      y: number;
      /** Format: double */
      z: number;
    };
    PourTogether: {
      air: string;
      batches: components['schemas']['Batch'][];
      figures: {
        [
          key in Numbered<components['schemas']['TogetherFigure']>
        ]?: components['schemas']['Figure'];
      };
      reason: string;
    };
    PouredTogether: {
      jobs: string[];
    };
    Practised: {
      done: boolean;
      task: string;
      title: string;
    };
    ProductEdits: {
      edits: components['schemas']['Edit'][];
      /** Format: int32 */
      version: number;
    };
    ProductFile: {
      text: string;
    };
    ProductResponse: {
      cast: boolean;
      contradiction: boolean;
      gaps: string[];
      id: string;
      kit: boolean;
      name: string;
      pack: string;
      parts: string[];
      retired: boolean;
      /** @enum {string} */
      role: 'RUBBER' | 'RESIN' | 'PLASTER' | 'WAX' | 'SEALANT' | 'FILLER' | 'RELEASE' | 'SEALER';
      sentence: string;
      shipped: boolean;
      substitutes: components['schemas']['SubstituteView'][];
      summary: string;
      /** Format: int32 */
      version: number;
      words: {
        [key in Numbered<components['schemas']['ProductWord']>]?: components['schemas']['State'];
      };
    };
    /** @enum {string} */
    ProductWord:
      | 'atC'
      | 'catalysts'
      | 'chemistry'
      | 'clear'
      | 'coats'
      | 'colour'
      | 'demouldMin'
      | 'densityBase'
      | 'densityHardener'
      | 'densityMixed'
      | 'dryMin'
      | 'elongationPct'
      | 'fillPct'
      | 'gelMin'
      | 'hardness'
      | 'heatLimitC'
      | 'massFactor'
      | 'name'
      | 'notes'
      | 'openMin'
      | 'openedDays'
      | 'packs'
      | 'peakC'
      | 'potLifeMin'
      | 'rateFactor'
      | 'ratio'
      | 'ratioAlso'
      | 'riseTimes'
      | 'role'
      | 'scale'
      | 'shake'
      | 'shelfDays'
      | 'shrinkagePct'
      | 'tearKnPerM'
      | 'thickenPct'
      | 'thinPct'
      | 'viscosityPas';
    ProposalResponse: {
      proposal?: components['schemas']['ProposalView'];
      says: string;
      work: components['schemas']['WorkView'];
    };
    ProposalView: {
      edits: components['schemas']['Edit'][];
      figures: {
        [key in Numbered<components['schemas']['JobFigure']>]?: components['schemas']['Figure'];
      };
      picture: string;
      rests: string[];
      rubber?: components['schemas']['ProposedRubber'];
      stops: string[];
      title: string;
    };
    ProposedRubber: {
      name: string;
      stock: string;
      text: string;
    };
    Question: {
      answers: components['schemas']['Answer'][];
      fact: string;
      text: string;
      unit: string;
    };
    RateRow: {
      per: string;
      reason: string;
      text: string;
      word: string;
    };
    ReadOnce: {
      line: string;
      says: string;
      trouble: string;
    };
    Reading: {
      height: string;
      /** Format: double */
      heightMm: number;
      mass: string;
      /** Format: double */
      overTopMm: number;
      /** Format: double */
      upMm: number;
      volume: string;
    };
    RestFace: {
      area: string;
      down: boolean;
      edit: string;
      facing: string;
    };
    Retiring: {
      who?: string;
      why: string;
    };
    RingView: {
      /** Format: int64 */
      atMs: number;
      says: string;
    };
    Row: {
      text: string;
      word: string;
    };
    RunListed: {
      begun: string;
      ended?: string;
      id: string;
      job: string;
      moulds: number[];
      name: string;
      presses: string;
    };
    RunLot: {
      id: string;
      left: string;
      number: string;
      picked: boolean;
      product: string;
    };
    RunResponse: {
      batches: components['schemas']['BatchView'][];
      begun: string;
      casts: number[];
      clocks: components['schemas']['ClockView'][];
      /** Format: int32 */
      done: number;
      ended?: string;
      entries: components['schemas']['EntryView'][];
      exercise?: components['schemas']['Practised'];
      id: string;
      job: string;
      lengthUnit: string;
      massUnit: string;
      name: string;
      next: string;
      /** Format: int64 */
      now: number;
      rehearsal: boolean;
      sharing: components['schemas']['SharedMould'][];
      /** Format: double */
      speed: number;
      tasks: components['schemas']['TaskStep'][];
      /** Format: int32 */
      version: number;
      weighing?: components['schemas']['Weighing'];
    };
    Scale: {
      id: string;
      name: string;
    };
    ScaleLook: {
      shown: string;
      weight: string;
      who?: string;
    };
    SchoolView: {
      chosen: boolean;
      cured: components['schemas']['Figure'];
      /** Format: int32 */
      days: number;
      edits: components['schemas']['Edit'][];
      text: string;
      until: string;
    };
    Score: {
      marks: components['schemas']['Mark'][];
      /** Format: int32 */
      points: number;
    };
    SecondPart: {
      firstIsBase: boolean;
      /** @enum {string} */
      state: 'TO_POUR' | 'RIGHT' | 'UNDER' | 'OVER';
      /** Format: double */
      targetG: number;
      words: string;
    };
    SectionDrawing: {
      /** Format: double */
      at: number;
      /** Format: double */
      bottom: number;
      /** @enum {string} */
      cut: 'FRONT' | 'SIDE' | 'TOP';
      dimensions: components['schemas']['Dimension'][];
      /** Format: double */
      from: number;
      /** Format: double */
      left: number;
      /** Format: double */
      right: number;
      shapes: components['schemas']['Shape'][];
      /** Format: double */
      to: number;
      /** Format: double */
      top: number;
    };
    Shape: {
      rings: number[][];
      /** @enum {string} */
      role:
        | 'PLATE'
        | 'WALL'
        | 'RUBBER'
        | 'MASTER'
        | 'ENVELOPE'
        | 'POUR_LINE'
        | 'OUTLINE'
        | 'GAP'
        | 'PARTING'
        | 'RISER'
        | 'SPRUE'
        | 'VENT'
        | 'CORE'
        | 'CUT_LINE'
        | 'DETAIL_COAT'
        | 'BUILD_COAT'
        | 'SMOOTHING_COAT'
        | 'PLUG'
        | 'CLOTH'
        | 'JACKET'
        | 'KEY'
        | 'LABEL'
        | 'AIR'
        | 'CAST_AIR';
    };
    ShapeScore: {
      /** Format: int32 */
      points: number;
      says: string;
    };
    Share: {
      product: string;
      text: string;
    };
    SharedMould: {
      amount: string;
      mould: string;
      run: string;
    };
    Shelf: {
      demo: boolean;
      jobs: components['schemas']['ShelfJob'][];
      unnamed: boolean;
      workshop: string;
    };
    ShelfJob: {
      archived: boolean;
      /** Format: date-time */
      changed: string;
      /** Format: int32 */
      checks: number;
      demo: boolean;
      due?: components['schemas']['Due'];
      id: string;
      line: string;
      name: string;
      next: string;
      note: string;
      picture?: string;
      stage: string;
      /** Format: int32 */
      stops: number;
      trouble: string;
    };
    ShoppingView: {
      lines: components['schemas']['LineView'][];
      missing: string[];
      price: components['schemas']['Figure'];
      working: boolean;
    };
    SkinView: {
      clock?: components['schemas']['CoatClockView'];
      coats: components['schemas']['CoatView'][];
      /** Format: double */
      cutDegrees?: number;
      gaps: components['schemas']['Option'][];
      moved: boolean;
      needs: string[];
      off: string;
      partings: number[];
      /** Format: double */
      stepDegrees: number;
    };
    SseEmitter: {
      /** Format: int64 */
      timeout?: number;
    };
    /** @enum {string} */
    StandFigure: 'cast' | 'height' | 'locked' | 'poured' | 'rubber' | 'vents';
    StandView: {
      edit: string;
      figures: {
        [key in Numbered<components['schemas']['StandFigure']>]?: components['schemas']['Figure'];
      };
      now: boolean;
      picture: string;
      way: string;
      why: string;
    };
    StandsResponse: {
      /** Format: int32 */
      looked: number;
      stands: components['schemas']['StandView'][];
      work: components['schemas']['WorkView'];
    };
    State: {
      assumed: boolean;
      clearable: boolean;
      exact: string;
      kind: string;
      label: string;
      options: components['schemas']['Option'][];
      text: string;
      unset: boolean;
      value: string;
    };
    StepView: {
      cautions: string[];
      key: string;
      /** @enum {string} */
      kind: 'HANDS' | 'WAIT' | 'GATE';
      part: string;
      takes?: components['schemas']['Figure'];
      waits: string;
      what: string;
      why: string;
    };
    StockShelf: {
      missing: string[];
      products: components['schemas']['StockView'][];
    };
    StockView: {
      lots: components['schemas']['LotView'][];
      low: boolean;
      name: string;
      needed: string;
      product: string;
      usable: components['schemas']['Figure'];
    };
    StreamingResponseBody: unknown;
    Stroke: {
      /** Format: double */
      bendDegrees: number;
      /** Format: double */
      brushMm?: number;
      erase: boolean;
      /** @enum {string} */
      mark: 'KEEP_CLEAN' | 'BASE' | 'THREAD' | 'PLUG' | 'FRAGILE';
      places: components['schemas']['SurfacePoint'][];
      /** Format: int32 */
      version: number;
    };
    StudyResponse: {
      attitudes: components['schemas']['AttitudeView'][];
      cast: components['schemas']['PocketView'][];
      castUp: components['schemas']['PlaceView'];
      inlet: string;
      /** Format: int32 */
      open: number;
      poured: components['schemas']['PocketView'][];
      sprue?: components['schemas']['ChannelView'];
      spruePlaced: boolean;
      thinnest?: components['schemas']['PlaceView'];
      thinnestText: string;
      vents: components['schemas']['ChannelView'][];
      work: components['schemas']['WorkView'];
    };
    SubstituteView: {
      name: string;
      product: string;
      text: string;
    };
    SurfacePoint: {
      /** Format: int32 */
      facet: number;
      /** Format: double */
      u: number;
      /** Format: double */
      v: number;
    };
    TaskStep: {
      at: string;
      batch: string;
      cares: string[];
      first: string;
      key: string;
      /** @enum {string} */
      kind: 'HANDS' | 'WAIT' | 'GATE' | 'VERDICT' | 'WEIGH' | 'DEGAS' | 'POUR' | 'LEVEL' | 'RESULT';
      label: string;
      lot: boolean;
      notGood: string;
      opens: string;
      part: string;
      pictures: string[];
      shows: components['schemas']['Figure'][];
      /** @enum {string} */
      status: 'OPEN' | 'READY' | 'RUNNING' | 'DONE' | 'SKIPPED';
      takes: string;
      what: string;
      why: string;
    };
    TaskView: {
      doing: string;
      /** Format: double */
      fraction: number;
      id: string;
      problem: string;
      /** @enum {string} */
      state: 'RUNNING' | 'DONE' | 'FAILED' | 'CANCELLED';
    };
    Tick: {
      /** Format: double */
      mm: number;
      text: string;
    };
    TogetherAnswer: {
      said: string;
    };
    /** @enum {string} */
    TogetherFigure: 'batch.#.base' | 'batch.#.fill' | 'batch.#.hardener';
    Tool: {
      name: string;
      text: string;
    };
    TouchView: {
      /** @enum {string} */
      level: 'FINE' | 'RELEASE' | 'SEAL' | 'PATCH' | 'DO_NOT';
      surface: string;
      text: string;
      verdict: string;
      /** @enum {string} */
      what: 'MASTER' | 'BEDDING' | 'BOX' | 'GLUE' | 'HALVES' | 'CAST';
    };
    UndecidedView: {
      stage: string;
      text: string;
      word: string;
    };
    VariantView: {
      /** Format: int32 */
      cautions: number;
      figures: {
        [key in Numbered<components['schemas']['JobFigure']>]?: components['schemas']['Figure'];
      };
      id: string;
      name: string;
      now: boolean;
    };
    Vec3: {
      /** Format: double */
      x: number;
      /** Format: double */
      y: number;
      /** Format: double */
      z: number;
    };
    WaitingJob: {
      first: string;
      id: string;
      name: string;
    };
    WayView: {
      advice: string;
      figure: string;
      plusMinus: string;
      text: string;
      way: string;
    };
    Weighing: {
      batch: string;
      cup: components['schemas']['Cup'];
      follows: string;
      headline: string;
      left: string;
      name: string;
      now: string;
      /** @enum {string} */
      part: 'BASE' | 'HARDENER' | 'ADDITIVE';
      /** @enum {string} */
      place: 'UNDER' | 'GREEN' | 'OVER';
      spoilt: boolean;
      target: string;
      toZero: boolean;
      unit: string;
      /** Format: int32 */
      which: number;
      working: components['schemas']['Working'];
    };
    WorkView: {
      doing: string;
      /** Format: double */
      fraction: number;
      problem: string;
      /** @enum {string} */
      state: 'NONE' | 'OPEN' | 'WORKING' | 'READY' | 'STOPPED' | 'FAILED';
    };
    Working: {
      formula: string;
      givens: components['schemas']['Given'][];
      plusMinus: string;
      rounding: string;
      steps: string[];
    };
    WorkshopEdits: {
      edits: components['schemas']['Edit'][];
      /** Format: int32 */
      version: number;
    };
    WorkshopResponse: {
      casts: components['schemas']['Row'][];
      rates: components['schemas']['RateRow'][];
      sheets: components['schemas']['Row'][];
      /** Format: int32 */
      version: number;
      weekdays: components['schemas']['Row'][];
      words: {
        [key in Numbered<components['schemas']['WorkshopWord']>]?: components['schemas']['State'];
      };
    };
    /** @enum {string} */
    WorkshopWord:
      | 'address'
      | 'air.altitudeM'
      | 'air.humidityPct'
      | 'allowancePct'
      | 'boards.ACRYLIC_3.count'
      | 'boards.ACRYLIC_3.lengthMm'
      | 'boards.ACRYLIC_3.widthMm'
      | 'boards.CARD_2.count'
      | 'boards.CARD_2.lengthMm'
      | 'boards.CARD_2.widthMm'
      | 'boards.FOAM_BOARD_10.count'
      | 'boards.FOAM_BOARD_10.lengthMm'
      | 'boards.FOAM_BOARD_10.widthMm'
      | 'boards.FOAM_BOARD_6.count'
      | 'boards.FOAM_BOARD_6.lengthMm'
      | 'boards.FOAM_BOARD_6.widthMm'
      | 'boards.MDF_18.count'
      | 'boards.MDF_18.lengthMm'
      | 'boards.MDF_18.widthMm'
      | 'boards.MELAMINE_16.count'
      | 'boards.MELAMINE_16.lengthMm'
      | 'boards.MELAMINE_16.widthMm'
      | 'boards.PLY_12.count'
      | 'boards.PLY_12.lengthMm'
      | 'boards.PLY_12.widthMm'
      | 'boards.STYRENE_2.count'
      | 'boards.STYRENE_2.lengthMm'
      | 'boards.STYRENE_2.widthMm'
      | 'boxes'
      | 'coatsPct'
      | 'costs.consumables'
      | 'costs.hour'
      | 'cupLossMm3'
      | 'cupLossPct'
      | 'currency'
      | 'equipment.bedLengthMm'
      | 'equipment.bedWidthMm'
      | 'equipment.bucketG'
      | 'equipment.chamberDiameterMm'
      | 'equipment.chamberHeightMm'
      | 'equipment.hoseKpa'
      | 'equipment.lidKpa'
      | 'equipment.liftG'
      | 'equipment.potDiameterMm'
      | 'equipment.potHeightMm'
      | 'equipment.potKpa'
      | 'equipment.waxPotG'
      | 'handMixG'
      | 'hours.dates'
      | 'hours.forecast'
      | 'hours.off'
      | 'hours.people'
      | 'hours.week.FRIDAY'
      | 'hours.week.MONDAY'
      | 'hours.week.SATURDAY'
      | 'hours.week.SUNDAY'
      | 'hours.week.THURSDAY'
      | 'hours.week.TUESDAY'
      | 'hours.week.WEDNESDAY'
      | 'hours.zone'
      | 'keeps.addition'
      | 'keeps.condensation'
      | 'keeps.latex'
      | 'keeps.urethane'
      | 'lives.APPLIANCE.addition'
      | 'lives.APPLIANCE.condensation'
      | 'lives.APPLIANCE.latex'
      | 'lives.APPLIANCE.urethane'
      | 'lives.CONCRETE.addition'
      | 'lives.CONCRETE.condensation'
      | 'lives.CONCRETE.latex'
      | 'lives.CONCRETE.urethane'
      | 'lives.EPOXY.addition'
      | 'lives.EPOXY.condensation'
      | 'lives.EPOXY.latex'
      | 'lives.EPOXY.urethane'
      | 'lives.FLEXIBLE.addition'
      | 'lives.FLEXIBLE.condensation'
      | 'lives.FLEXIBLE.latex'
      | 'lives.FLEXIBLE.urethane'
      | 'lives.FOAM.addition'
      | 'lives.FOAM.condensation'
      | 'lives.FOAM.latex'
      | 'lives.FOAM.urethane'
      | 'lives.INJECTED_WAX.addition'
      | 'lives.INJECTED_WAX.condensation'
      | 'lives.INJECTED_WAX.latex'
      | 'lives.INJECTED_WAX.urethane'
      | 'lives.METAL.addition'
      | 'lives.METAL.condensation'
      | 'lives.METAL.latex'
      | 'lives.METAL.urethane'
      | 'lives.PLASTER.addition'
      | 'lives.PLASTER.condensation'
      | 'lives.PLASTER.latex'
      | 'lives.PLASTER.urethane'
      | 'lives.POLYESTER.addition'
      | 'lives.POLYESTER.condensation'
      | 'lives.POLYESTER.latex'
      | 'lives.POLYESTER.urethane'
      | 'lives.SILICONE.addition'
      | 'lives.SILICONE.condensation'
      | 'lives.SILICONE.latex'
      | 'lives.SILICONE.urethane'
      | 'lives.SOAP.addition'
      | 'lives.SOAP.condensation'
      | 'lives.SOAP.latex'
      | 'lives.SOAP.urethane'
      | 'lives.URETHANE.addition'
      | 'lives.URETHANE.condensation'
      | 'lives.URETHANE.latex'
      | 'lives.URETHANE.urethane'
      | 'lives.WAX.addition'
      | 'lives.WAX.condensation'
      | 'lives.WAX.latex'
      | 'lives.WAX.urethane'
      | 'mixing.bucket.bottomMm'
      | 'mixing.bucket.heightMm'
      | 'mixing.bucket.topMm'
      | 'mixing.coarse.capacityG'
      | 'mixing.coarse.readG'
      | 'mixing.cup.bottomMm'
      | 'mixing.cup.heightMm'
      | 'mixing.cup.topMm'
      | 'mixing.fine.capacityG'
      | 'mixing.fine.readG'
      | 'mixing.jug.bottomMm'
      | 'mixing.jug.heightMm'
      | 'mixing.jug.topMm'
      | 'mixing.pace.degasMin'
      | 'mixing.pace.measureMin'
      | 'mixing.pace.mixMin'
      | 'mixing.pace.pourMm3PerMin'
      | 'mixing.pace.secondCupMin'
      | 'mixing.pace.vibrateMin'
      | 'mixing.vacuum'
      | 'name'
      | 'paper'
      | 'rates.BED'
      | 'rates.BED_SEAM'
      | 'rates.BOARD'
      | 'rates.BOX'
      | 'rates.BRUSH'
      | 'rates.BRUSH_READY'
      | 'rates.CAST_MIX'
      | 'rates.CAST_OUT'
      | 'rates.CLOSE'
      | 'rates.CUT'
      | 'rates.FIX'
      | 'rates.JOINT'
      | 'rates.KEYS'
      | 'rates.LABEL'
      | 'rates.LINING'
      | 'rates.OPEN'
      | 'rates.PATCH'
      | 'rates.PLUG'
      | 'rates.RELEASE'
      | 'rates.SEALER'
      | 'rates.TIN'
      | 'rates.TURN'
      | 'rates.WASH'
      | 'releases'
      | 'roomC'
      | 'units.display'
      | 'units.gallon';
  };
  responses: never;
  parameters: never;
  requestBodies: never;
  headers: never;
  pathItems: never;
}
export type $defs = Record<string, never>;
export interface operations {
  access: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['AccessView'];
        };
      };
    };
  };
  takeIn: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/octet-stream': {
          /** Format: binary */
          zip?: string;
        };
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Arrived'];
        };
      };
    };
  };
  backup: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/zip': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  backups: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BackupList'];
        };
      };
    };
  };
  makeBackup: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  backupFile: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        name: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/zip': string;
        };
      };
    };
  };
  backupChanges: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        name: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BackupChanges'];
        };
      };
    };
  };
  goBack: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        name: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Accepted */
      202: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  calendarAddress: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['CalendarAddress'];
        };
      };
    };
  };
  makeCalendarAddress: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['CalendarAddress'];
        };
      };
    };
  };
  revokeCalendarAddress: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  calendar: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        code: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/calendar;charset=UTF-8': string;
        };
      };
    };
  };
  checkAll: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Checked'];
        };
      };
    };
  };
  bench: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BenchResponse'];
        };
      };
    };
  };
  alarms: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['AlarmsResponse'];
        };
      };
    };
  };
  between: {
    parameters: {
      query: {
        from: string;
        to: string;
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Between'];
        };
      };
    };
  };
  orderBench: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['JobOrder'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BenchResponse'];
        };
      };
    };
  };
  devices: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeviceView'][];
        };
      };
    };
  };
  addDevice: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewDevice'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeviceView'];
        };
      };
    };
  };
  readDevice: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewDevice'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ReadOnce'];
        };
      };
    };
  };
  handStandIn: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        kind: 'SCALE' | 'GAUGE' | 'ROOM';
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['Deed'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeedDone'];
        };
      };
    };
  };
  changeDevice: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewDevice'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DeviceView'];
        };
      };
    };
  };
  removeDevice: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  exercises: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ExerciseView'][];
        };
      };
    };
  };
  runExercise: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ExerciseRun'];
        };
      };
    };
  };
  scoreOfExercise: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ExerciseScore'];
        };
      };
    };
  };
  beginExercise: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        exercise: 'LEAST_AIR' | 'TWO_VENTS' | 'RATIO' | 'POT_LIFE' | 'WINDOW';
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ExerciseBegun'];
        };
      };
    };
  };
  addJob: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['JobName'];
      };
    };
    responses: {
      /** @description Created */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobId'];
        };
      };
    };
  };
  job: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobResponse'];
        };
      };
    };
  };
  deleteJob: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  amounts: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  approaches: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ApproachesResponse'];
        };
      };
    };
  };
  searchApproaches: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ApproachesResponse'];
        };
      };
    };
  };
  stopApproaches: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ApproachesResponse'];
        };
      };
    };
  };
  archiveJob_1: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/zip': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  archiveJob: {
    parameters: {
      query: {
        archived: boolean;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  cutList: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['CutListResponse'];
        };
      };
    };
  };
  dxf: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  pdf: {
    parameters: {
      query?: {
        tiled?: boolean;
        paper?: 'A4' | 'LETTER';
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  svg: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  boxShapes: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BoxView'][];
        };
      };
    };
  };
  casts: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['CastsResponse'];
        };
      };
    };
  };
  madeCsv: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  made: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MadeResponse'];
        };
      };
    };
  };
  addMade: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewMade'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MadeResponse'];
        };
      };
    };
  };
  addSpot: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['CastSpot'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MadeResponse'];
        };
      };
    };
  };
  castSheet: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  copyJob: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Created */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobId'];
        };
      };
    };
  };
  days: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DaysResponse'];
        };
      };
    };
  };
  jobCalendar: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/calendar;charset=UTF-8': string;
        };
      };
    };
  };
  begun: {
    parameters: {
      query: {
        begin: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['BegunThen'];
        };
      };
    };
  };
  stepsCsv: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  faults: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FaultsResponse'];
        };
      };
    };
  };
  diagnose: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['FaultAsked'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['DiagnosisResponse'];
        };
      };
    };
  };
  addCase: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewCase'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FaultsResponse'];
        };
      };
    };
  };
  endCase: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        number: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['CaseOutcome'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FaultsResponse'];
        };
      };
    };
  };
  dipstick: {
    parameters: {
      query: {
        mark: 'LINE' | 'PARTING';
        at: number;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Reading'];
        };
      };
    };
  };
  editJob: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['JobEdits'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobResponse'];
        };
      };
    };
  };
  faces: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RestFace'][];
        };
      };
    };
  };
  filling: {
    parameters: {
      query: {
        of: 'RUBBER' | 'CAST';
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['FilmView'];
        };
      };
    };
  };
  formers3mf: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  formersStl: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  label3mf: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  castLabel: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  labelStl: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  log: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LogResponse'];
        };
      };
    };
  };
  logCsv: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  logPdf: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  lookJob: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        stage: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobResponse'];
        };
      };
    };
  };
  marks: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/octet-stream': string;
        };
      };
    };
  };
  paintMarks: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['Stroke'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobResponse'];
        };
      };
    };
  };
  masterStl: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StreamingResponseBody'];
        };
      };
    };
  };
  makeMended: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  mendedStl: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  mesh: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/octet-stream': string;
        };
      };
    };
  };
  uploadModel: {
    parameters: {
      query: {
        name: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  uploadBeside: {
    parameters: {
      query: {
        name: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  renameJob: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['JobName'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobResponse'];
        };
      };
    };
  };
  original: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  partition: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PartitionResponse'];
        };
      };
    };
  };
  searchPartition: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PartitionResponse'];
        };
      };
    };
  };
  stopPartition: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PartitionResponse'];
        };
      };
    };
  };
  pieceMap: {
    parameters: {
      query: {
        piece: number;
        of: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'image/png': string;
        };
      };
    };
  };
  picture: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        fingerprint: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'image/png': string;
        };
      };
    };
  };
  makePieces: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  pieces3mf: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  piecesStl: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  proposal: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ProposalResponse'];
        };
      };
    };
  };
  findProposal: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ProposalResponse'];
        };
      };
    };
  };
  proposalPicture: {
    parameters: {
      query: {
        of: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'image/png': string;
        };
      };
    };
  };
  restoreJob: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  rubbers: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Candidate'][];
        };
      };
    };
  };
  section: {
    parameters: {
      query: {
        cut: 'FRONT' | 'SIDE' | 'TOP';
        at?: number;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SectionDrawing'];
        };
      };
    };
  };
  sheet: {
    parameters: {
      query?: {
        paper?: 'A4' | 'LETTER';
        working?: boolean;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  coat: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        number: number;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/octet-stream': string;
        };
      };
    };
  };
  solidPart: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        part: 'PARTING' | 'CUT' | 'CORE' | 'JACKET';
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/octet-stream': string;
        };
      };
    };
  };
  stands: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StandsResponse'];
        };
      };
    };
  };
  searchStands: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StandsResponse'];
        };
      };
    };
  };
  stopStands: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StandsResponse'];
        };
      };
    };
  };
  standPicture: {
    parameters: {
      query: {
        turn: string;
        of: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'image/png': string;
        };
      };
    };
  };
  stepJob: {
    parameters: {
      query: {
        version: number;
        by: number;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['JobResponse'];
        };
      };
    };
  };
  study: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StudyResponse'];
        };
      };
    };
  };
  askStudy: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StudyResponse'];
        };
      };
    };
  };
  stopStudy: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StudyResponse'];
        };
      };
    };
  };
  facets: {
    parameters: {
      query: {
        quantity: 'LOCKED' | 'WALL';
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/octet-stream': string;
        };
      };
    };
  };
  variants: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['VariantView'][];
        };
      };
    };
  };
  keepVariant: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description Created */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  forgetVariant: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        variant: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  takeVariant: {
    parameters: {
      query: {
        version: number;
      };
      header?: never;
      path: {
        id: string;
        variant: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  beginCast: {
    parameters: {
      query: {
        moulds: string;
      };
      header?: never;
      path: {
        job: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  mixed: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        job: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MixedView'][];
        };
      };
    };
  };
  recordMixed: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        job: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewMixed'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MixedAnswer'];
        };
      };
    };
  };
  strikeOut: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        job: string;
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MixedView'][];
        };
      };
    };
  };
  rehearseRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        job: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  runsOf: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        job: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunListed'][];
        };
      };
    };
  };
  beginRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        job: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  lessons: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LessonView'][];
        };
      };
    };
  };
  checkScale: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['ScaleLook'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LessonView'][];
        };
      };
    };
  };
  lessonsCsv: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  answerLesson: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        lesson: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['Answered'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['LessonView'][];
        };
      };
    };
  };
  mix: {
    parameters: {
      query: {
        product: string;
        amount: string;
        ratio?: string;
        meant?: boolean;
        secondFirst?: boolean;
        poured?: string;
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MixNow'];
        };
      };
    };
  };
  months: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MonthView'][];
        };
      };
    };
  };
  monthsCsv: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  moulds: {
    parameters: {
      query?: {
        q?: string;
        which?: 'IN_USE' | 'WEARING' | 'RETIRED';
        from?: number;
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MouldList'];
        };
      };
    };
  };
  addMould: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewMould'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MouldResponse'];
        };
      };
    };
  };
  labelSheets: {
    parameters: {
      query: {
        codes: string[];
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  mouldsCsv: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  mould: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        code: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MouldResponse'];
        };
      };
    };
  };
  editMould: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        code: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['MouldEdits'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MouldResponse'];
        };
      };
    };
  };
  label: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        code: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  labelPicture: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        code: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'image/png': string;
        };
      };
    };
  };
  retireMould: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        code: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['Retiring'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['MouldResponse'];
        };
      };
    };
  };
  products: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ProductResponse'][];
        };
      };
    };
  };
  addProduct: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewProduct'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ProductResponse'];
        };
      };
    };
  };
  importProducts: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['ProductFile'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Imported'];
        };
      };
    };
  };
  productsCsv: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv': string;
        };
      };
    };
  };
  productsJson: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': string;
        };
      };
    };
  };
  editProduct: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['ProductEdits'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ProductResponse'];
        };
      };
    };
  };
  retireProduct: {
    parameters: {
      query: {
        retired: boolean;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ProductResponse'];
        };
      };
    };
  };
  goingRuns: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunListed'][];
        };
      };
    };
  };
  run: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  act: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['Act'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  changesOfRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PlanChanges'];
        };
      };
    };
  };
  endRun: {
    parameters: {
      query: {
        ended: boolean;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  handInRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['Handed'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['HandedDone'];
        };
      };
    };
  };
  liveRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/event-stream': components['schemas']['SseEmitter'];
        };
      };
    };
  };
  lotsOfRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunLot'][];
        };
      };
    };
  };
  nowOfRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Live'];
        };
      };
    };
  };
  addRunPicture: {
    parameters: {
      query: {
        step: string;
        who: string;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/octet-stream': string;
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  runPicture: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
        picture: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'image/jpeg': string;
        };
      };
    };
  };
  scoreOfRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Score'];
        };
      };
    };
  };
  sectionOfRun: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['SectionDrawing'];
        };
      };
    };
  };
  hurryRun: {
    parameters: {
      query: {
        times: number;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['RunResponse'];
        };
      };
    };
  };
  shelf: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['Shelf'];
        };
      };
    };
  };
  removeDemo: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description No Content */
      204: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  shopping: {
    parameters: {
      query?: {
        job?: string;
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['ShoppingView'];
        };
      };
    };
  };
  shoppingCsv: {
    parameters: {
      query?: {
        job?: string;
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv': string;
        };
      };
    };
  };
  shoppingPdf: {
    parameters: {
      query?: {
        job?: string;
      };
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/pdf': string;
        };
      };
    };
  };
  stock: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['StockShelf'];
        };
      };
    };
  };
  addLot: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['NewLot'];
      };
    };
    responses: {
      /** @description Created */
      201: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  stockCsv: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'text/csv;charset=UTF-8': string;
        };
      };
    };
  };
  editLot: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['LotEdits'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  goneLot: {
    parameters: {
      query: {
        gone: boolean;
      };
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content?: never;
      };
    };
  };
  task: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  cancelTask: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        id: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TaskView'];
        };
      };
    };
  };
  groups: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['GroupsView'];
        };
      };
    };
  };
  together: {
    parameters: {
      query: {
        jobs: string[];
        bubbles?: 'THIN_POUR' | 'VACUUM' | 'VACUUM_CYCLED' | 'VACUUM_TWO_CUPS' | 'VIBRATED';
      };
      header?: never;
      path: {
        product: string;
      };
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['PourTogether'];
        };
      };
    };
  };
  recordTogether: {
    parameters: {
      query?: never;
      header?: never;
      path: {
        product: string;
      };
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['PouredTogether'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['TogetherAnswer'];
        };
      };
    };
  };
  workshop: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody?: never;
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['WorkshopResponse'];
        };
      };
    };
  };
  editWorkshop: {
    parameters: {
      query?: never;
      header?: never;
      path?: never;
      cookie?: never;
    };
    requestBody: {
      content: {
        'application/json': components['schemas']['WorkshopEdits'];
      };
    };
    responses: {
      /** @description OK */
      200: {
        headers: {
          [name: string]: unknown;
        };
        content: {
          'application/json': components['schemas']['WorkshopResponse'];
        };
      };
    };
  };
}
