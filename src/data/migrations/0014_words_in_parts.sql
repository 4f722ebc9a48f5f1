ALTER INDEX "register_words" SET (fastupdate=true, gin_pending_list_limit=64);
