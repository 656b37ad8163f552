(function () {
  'use strict';
  var rows = Array.prototype.slice.call(document.querySelectorAll('tr[data-row]'));
  var search = document.getElementById('search');
  var filter = document.getElementById('filter');
  var shown = document.getElementById('shown');
  var saved = true;
  function text(cell) { return cell.innerText.replace(/\n$/, ''); }
  function target(row) { return row.querySelector('td.target'); }
  function comment(row) { return row.querySelector('td.comment'); }
  function count(row) {
    var cell = target(row);
    cell.setAttribute('data-count', text(cell).replace(/\u27e6\/?\d+\/?\u27e7/g, '').length + ' / ' + row.getAttribute('data-length'));
    row.classList.toggle('changed', text(cell) !== row.getAttribute('data-sent'));
  }
  function show() {
    var words = search.value.toLowerCase();
    var n = 0;
    rows.forEach(function (row) {
      var fits = !words || row.innerText.toLowerCase().indexOf(words) >= 0;
      if (filter.value === 'changed') { fits = fits && row.classList.contains('changed'); }
      if (filter.value === 'empty') { fits = fits && !text(target(row)).trim(); }
      if (filter.value === 'comments') { fits = fits && !!text(comment(row)).trim(); }
      row.hidden = !fits;
      n += fits ? 1 : 0;
    });
    shown.textContent = n + ' / ' + rows.length;
  }
  // Spaces that another program would fold are marked as kept.
  function keepSpaces(cell) {
    var walker = document.createTreeWalker(cell, NodeFilter.SHOW_TEXT);
    var nodes = [];
    while (walker.nextNode()) { nodes.push(walker.currentNode); }
    nodes.forEach(function (node) {
      var kept = node.parentNode.style && node.parentNode.style.whiteSpace.indexOf('pre') === 0;
      var pieces = kept ? null : node.data.match(/[ \t]{2,}|^[ \t]|[ \t]$|\n|[^ \t\n]+|[ \t]/g);
      if (!pieces || !/[ \t]{2,}|^[ \t]|[ \t]$|\n/.test(node.data)) { return; }
      pieces.forEach(function (piece) {
        var made = document.createTextNode(piece);
        if (piece === '\n') {
          made = document.createElement('br');
        } else if (/^[ \t]+$/.test(piece)) {
          made = document.createElement('span');
          made.style.whiteSpace = 'pre-wrap';
          made.textContent = piece;
        }
        node.parentNode.insertBefore(made, node);
      });
      node.parentNode.removeChild(node);
    });
  }
  function save() {
    rows.forEach(function (row) { row.hidden = false; keepSpaces(target(row)); keepSpaces(comment(row)); });
    var page = '<!DOCTYPE html>\n' + document.documentElement.outerHTML;
    var link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([page], { type: 'text/html' }));
    link.download = document.documentElement.getAttribute('data-file');
    link.click();
    saved = true;
    show();
  }
  rows.forEach(function (row) {
    count(row);
    row.addEventListener('input', function () { saved = false; count(row); });
    row.addEventListener('paste', function (event) {
      event.preventDefault();
      document.execCommand('insertText', false, (event.clipboardData || window.clipboardData).getData('text/plain'));
    });
  });
  search.addEventListener('input', show);
  filter.addEventListener('change', show);
  document.getElementById('save').addEventListener('click', save);
  document.addEventListener('keydown', function (event) {
    if ((event.ctrlKey || event.metaKey) && event.key === 's') { event.preventDefault(); save(); }
  });
  window.addEventListener('beforeunload', function (event) { if (!saved) { event.preventDefault(); event.returnValue = ''; } });
  show();
})();
